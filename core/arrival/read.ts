import { toothSystem, type GearReadings } from '../gear/index.ts';
import { placedUnder, fail, ok, type Issue, type Result } from '../findings/index.ts';
import {
  approx,
  exact,
  parseCount,
  parseLength,
  parsePitch,
  parsePositiveLength,
  parseRatio,
  type Exact,
  type Measure,
  radiansOf,
} from '../units/index.ts';
import type { ShaftsInput, StockInput } from './schema.ts';
import type { ShaftsAsked } from './shafts.ts';

const blank = ({ typed }: Measure): boolean => typed.trim() === '';

/** A length of 0 or more. Issues: those of the parser; negative */
function notNegative(typed: Measure, what: string): Result<Exact> {
  if (blank(typed)) return ok(exact(0));
  const read = parseLength(typed);
  if (!read.ok || read.value.gte(0)) return read;
  return fail({ code: 'negative', path: '', severity: 'wrong', given: typed.typed, detail: { what } });
}

/** Issues: those of the parsers; stock-used-up */
export function readStock(input: StockInput): {
  readonly stock: Exact | null;
  readonly cleanUp: Exact;
  readonly issues: readonly Issue[];
} {
  const diameter = parsePositiveLength(input.diameter, 'The stock’s diameter');
  const cleanUp = notNegative(input.cleanUp, 'What comes off to clean up');
  const issues = [
    ...(diameter.ok ? [] : placedUnder('diameter', diameter.issues)),
    ...(cleanUp.ok ? [] : placedUnder('cleanUp', cleanUp.issues)),
  ];
  const off = cleanUp.ok ? cleanUp.value : exact(0);
  if (diameter.ok && off.gte(diameter.value)) {
    issues.push({ code: 'stock-used-up', path: 'cleanUp', severity: 'wrong', given: input.cleanUp.typed });
    return { stock: null, cleanUp: off, issues };
  }
  return { stock: diameter.ok ? diameter.value : null, cleanUp: off, issues };
}

/**
 * What is asked of the shafts, with the angle and depth rule that stand on the card.
 * Issues: those of the parsers
 */
export function readShafts(
  input: ShaftsInput,
  gear: Pick<GearReadings, 'pressureAngleDeg'>,
  rule: string,
): { readonly asked: ShaftsAsked | null; readonly issues: readonly Issue[] } {
  const issues: Issue[] = [];
  const take = <T>(path: string, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    issues.push(...placedUnder(path, result.issues));
    return null;
  };
  const centre = take('centre', parsePositiveLength(input.centre, 'The centre distance'));
  const give = take('give', notNegative(input.give, 'The ± of the distance'));
  const ratio = blank(input.ratio) ? null : take('ratio', parseRatio(input.ratio, 'A ratio'));
  const ratioGive = blank(input.ratioGive)
    ? exact(0)
    : take('ratioGive', parseRatio(input.ratioGive, 'Per cent', true));
  const least = blank(input.leastTeeth)
    ? 12
    : take(
        'leastTeeth',
        parseCount({ given: input.leastTeeth, what: 'The fewest teeth', least: 4, most: 400 }),
      );
  const backlash = blank(input.backlash)
    ? null
    : take('backlash', notNegative(input.backlash, 'The backlash'));
  const pitch = input.pitches === 'this' ? take('pitch', parsePitch(input.pitch)) : null;
  if (!centre || least === null || (input.pitches === 'this' && !pitch)) return { asked: null, issues };
  const system = rule === 'typed' ? null : toothSystem(rule as never);
  return {
    asked: {
      centre: approx(centre),
      give: give ? approx(give) : 0,
      ratio: ratio && approx(ratio),
      ratioGive: ratioGive ? approx(ratioGive) / 100 : 0,
      pitches: pitch ?? (input.pitches === 'this' ? 'any' : input.pitches),
      leastTeeth: least,
      backlash: backlash && approx(backlash),
      pressureAngle: radiansOf(gear.pressureAngleDeg ? approx(gear.pressureAngleDeg) : 20),
      addendum: system ? approx(exact(system.addendum)) : 1,
      wholeDepth: system ? approx(exact(system.wholeDepth)) : 2.25,
    },
    issues,
  };
}
