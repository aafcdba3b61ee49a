import { fail, ok, type Issue, type Result } from '../findings/index.ts';
import { exact, MM_PER_INCH, measure, parseRatio, type Exact } from '../units/index.ts';
import type { Mill } from './machineSchema.ts';

const MOST_STEPS = 60;

/** Words of a list as people write them: `45 63 90`, `45, 63, 90`, `45/63/90`. */
const wordsOf = (typed: string): string[] => typed.split(/[\s,;/]+/).filter((word) => word !== '');

/** A rising list of figures, each once. Issues: steps-bad for each that is no figure above zero */
function readSteps(typed: string, what: string): Result<readonly Exact[]> {
  const issues: Issue[] = [];
  const read: Exact[] = [];
  for (const word of wordsOf(typed)) {
    const figure = parseRatio(measure(word, 'count'), what);
    if (figure.ok) read.push(figure.value);
    else issues.push({ code: 'steps-bad', path: '', severity: 'wrong', given: word, detail: { what } });
  }
  if (read.length > MOST_STEPS)
    issues.push({
      code: 'steps-bad',
      path: '',
      severity: 'wrong',
      given: `${read.length} of them`,
      detail: { what },
    });
  if (issues.length > 0) return fail(...issues);
  const rising = read.sort((a, b) => a.compare(b));
  return ok(rising.filter((value, i) => i === 0 || !value.equals(rising[i - 1]!)));
}

/** The spindle speeds of a mill, turns a minute, rising; none where they are not known. Issues: steps-bad */
export const readSpeeds = (typed: string): Result<readonly Exact[]> => readSteps(typed, 'a speed');

/** The table feeds of a mill, mm a minute, rising; none where it is fed by hand. Issues: steps-bad */
export function readFeeds({ by, settings }: Mill['feeds']): Result<readonly Exact[]> {
  const read = readSteps(settings, 'a feed');
  return read.ok && by === 'in' ? ok(read.value.map((feed) => feed.mul(MM_PER_INCH))) : read;
}

const FEET = /^(.*?)\s*(?:ft|feet|sfm|fpm|sf|')\s*(?:(?:\/|per\s*)\s*min(?:ute)?)?$/i;
const METRES = /^(.*?)\s*m?\s*(?:(?:\/|per\s*)\s*min(?:ute)?)?$/i;

/**
 * A cutting speed as people write it: `24 m/min`, `24`, `80 ft/min`, `80 sfm`.
 * @returns metres a minute, exact
 * Issues: speed-bad
 */
export function readCuttingSpeed(typed: string): Result<Exact> {
  const text = typed.trim();
  const feet = FEET.exec(text);
  const figure = (feet ?? METRES.exec(text))?.[1] ?? '';
  const read = parseRatio(measure(figure, 'count'), 'The cutting speed');
  if (!read.ok) return fail({ code: 'speed-bad', path: '', severity: 'wrong', given: typed });
  const perMinute = feet ? read.value.mul(MM_PER_INCH).mul(12).div(1000) : read.value;
  if (perMinute.gt(exact(1000)))
    return fail({ code: 'speed-bad', path: '', severity: 'wrong', given: typed });
  return ok(perMinute);
}
