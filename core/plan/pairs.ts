import type { GearInput, GearReadings } from '../gear/index.ts';
import { fieldAt, type Issue } from '../findings/index.ts';
import type { Job } from '../job/index.ts';
import { isGear } from '../kinds/index.ts';
import { angleText, approx, decimalText, pitchText } from '../units/index.ts';

/** Whole depths closer than this, in modules, are one school. */
const SAME_DEPTH = 0.005;

/**
 * What a pair must have alike on any shafts: pitch, pressure angle, depth. Issues: pair-pitches-differ,
 * pair-pressure-differs, pair-depths-differ
 */
function alike(a: GearReadings, b: GearReadings, path: string): Issue[] {
  const issues: Issue[] = [];
  if (a.pitch && b.pitch && !a.pitch.module.equals(b.pitch.module))
    issues.push({
      code: 'pair-pitches-differ',
      path: fieldAt<GearInput>(path, 'pitch'),
      severity: 'query',
      given: `${pitchText(a.pitch)} and ${pitchText(b.pitch)}`,
    });
  if (a.pressureAngleDeg && b.pressureAngleDeg && !a.pressureAngleDeg.equals(b.pressureAngleDeg))
    issues.push({
      code: 'pair-pressure-differs',
      path: fieldAt<GearInput>(path, 'pressureAngle'),
      severity: 'query',
      given: `${angleText(a.pressureAngleDeg)} and ${angleText(b.pressureAngleDeg)}`,
    });
  if (a.depth && b.depth && a.pitch && b.pitch) {
    const [one, two] = [
      approx(a.depth.wholeDepth.div(a.pitch.module)),
      approx(b.depth.wholeDepth.div(b.pitch.module)),
    ];
    const tall =
      Math.abs(approx(a.depth.addendum.div(a.pitch.module)) - approx(b.depth.addendum.div(b.pitch.module))) >
      SAME_DEPTH;
    if (tall || Math.abs(one - two) > SAME_DEPTH)
      issues.push({
        code: 'pair-depths-differ',
        path: fieldAt<GearInput>(path, 'depth'),
        severity: tall ? 'query' : 'note',
        given: `${decimalText(one, 3)} and ${decimalText(two, 3)} of the module`,
      });
  }
  return issues;
}

/**
 * On parallel shafts they have one angle and lean opposite ways, or they do not mesh. Issues:
 * pair-angles-differ, pair-hands-same
 */
function leaning(a: GearReadings, b: GearReadings, path: string): Issue[] {
  if (!a.helixKnown || !b.helixKnown) return [];
  const issue = { path: fieldAt<GearInput>(path, 'helix'), severity: 'query' } as const;
  const given = `${angleText(a.helixDeg)} and ${angleText(b.helixDeg)}`;
  if (Math.abs(approx(a.helixDeg.sub(b.helixDeg))) > 1e-4)
    return [{ ...issue, code: 'pair-angles-differ', given }];
  if (!a.helixDeg.equals(0) && a.hand === b.hand)
    return [{ ...issue, code: 'pair-hands-same', given: a.hand }];
  return [];
}

/**
 * Two gears of one job that are to run together.
 * @param readingsOf a gear as it was read for its own card, by the id of its part
 * Issues: pair-pitches-differ, pair-pressure-differs, pair-depths-differ, pair-angles-differ, pair-hands-same
 */
export function judgePairs(job: Job, readingsOf: (partId: string) => GearReadings | null): Issue[] {
  return job.relations.flatMap(({ kind, parts }): Issue[] => {
    const [one, two] = parts.map((id) => job.parts.find((part) => part.id === id));
    if (kind !== 'pair' || !one || !two || !isGear(one) || !isGear(two)) return [];
    const [a, b] = [readingsOf(one.id), readingsOf(two.id)];
    if (!a || !b) return [];
    const path = `parts.${one.id}.gear`;
    const crossed = one.gear.mate.shafts === 'crossed' || two.gear.mate.shafts === 'crossed';
    return [...alike(a, b, path), ...(crossed ? [] : leaning(a, b, path))];
  });
}
