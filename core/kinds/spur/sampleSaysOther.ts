import type { GearInput } from '../../gear/index.ts';
import type { Arrival, ArrivalDetail } from '../../arrival/index.ts';
import { fieldAt, type Issue } from '../../findings/index.ts';
import { usualAngle } from '../../job/index.ts';
import { angleText, decimalText, parsePitch, type Exact } from '../../units/index.ts';

/**
 * The angle was not read off a sample but put in as the usual one of its pitch: to be asked about before
 * metal is cut.
 * @param path of the gear in the document
 * Issues: angle-assumed
 */
export function angleAssumed(arrival: Arrival, angleDeg: Exact | null, path: string): Issue[] {
  if (arrival.by !== 'sample' || !arrival.taken || arrival.taken.angleDeg !== null || !angleDeg) return [];
  const { taken } = arrival;
  if (!angleDeg.equals(usualAngle(taken.pitch.unit === 'dp' ? 'dp' : 'module', taken.stub))) return [];
  const pitch = taken.pitch.unit === 'dp' ? 'a diametral pitch' : 'a module';
  return [
    {
      code: 'angle-assumed',
      path: fieldAt<GearInput>(path, 'pressureAngle'),
      severity: 'query',
      given: angleText(angleDeg),
      detail: { pitch },
    },
  ];
}

/**
 * A helical sample was taken and nobody said which way its teeth lean. A query that stands until it is
 * answered.
 * @param path of the sample in the document
 * Issues: hand-unasked
 */
export function handUnasked({
  arrival,
  helical,
  hand,
  path,
}: {
  readonly arrival: Arrival;
  readonly helical: boolean;
  readonly hand: string;
  readonly path: string;
}): Issue[] {
  if (arrival.by !== 'sample' || !arrival.taken || !helical || arrival.sample.hand !== 'not-looked')
    return [];
  return [
    { code: 'hand-unasked', path: fieldAt<Arrival>(path, 'sample.hand'), severity: 'query', given: hand },
  ];
}

/**
 * The readings of a sample have changed since a gear was taken for it, and speak for another one now.
 * Issues: sample-says-other
 */
export function sampleSaysOther(arrival: Arrival, detail: ArrivalDetail, path: string): Issue[] {
  if (arrival.by !== 'sample' || !arrival.taken || detail.by !== 'sample') return [];
  const { taken } = arrival;
  const { found } = detail;
  const [first] = found.best;
  if (!first || found.verdict === 'contradiction' || found.verdict === 'none') return [];
  const pitch = parsePitch(taken.pitch);
  const same = found.best.some(
    (one) =>
      one.tied &&
      pitch.ok &&
      one.system === pitch.value.system &&
      one.figure === decimalText(pitch.value.figure) &&
      one.teeth === taken.teeth &&
      one.stub === taken.stub &&
      one.helixDeg > 0 === taken.helixDeg > 0,
  );
  if (same) return [];
  const given = `${taken.pitch.unit === 'dp' ? `${taken.pitch.typed} DP` : `m ${taken.pitch.typed}`}, ${taken.teeth} teeth`;
  return [
    {
      code: 'sample-says-other',
      path,
      severity: 'query',
      given,
      detail: { now: `${first.pitch}, ${first.teeth} teeth` },
    },
  ];
}
