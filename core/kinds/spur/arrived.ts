import type { PartGround, StationDetails } from '../../card/index.ts';
import { judgeRoom, planArrival, type Arrival } from '../../arrival/index.ts';
import { fieldAt } from '../../findings/index.ts';
import type { GearReadings, planGear, SpurSizes } from '../../gear/index.ts';
import type { StationWork } from '../../station/index.ts';
import { approx } from '../../units/index.ts';
import type { SpurPart } from './document.ts';
import { angleAssumed, handUnasked, sampleSaysOther } from './sampleSaysOther.ts';

/** The gear with how it arrived: until something is taken, the arrival is the answer. */
export function planArrived({
  part,
  on,
  read,
  own,
}: {
  readonly part: SpurPart;
  readonly on: PartGround;
  readonly read: GearReadings;
  readonly own: ReturnType<typeof planGear>;
}): StationWork<SpurSizes, StationDetails['gear']> {
  const { arrival } = part;
  const path = `${on.path}.arrival`;
  const arrived = planArrival({
    arrival,
    input: part.gear,
    gear: read,
    head: on.dividing.head,
    path,
    units: on.units,
  });
  const asks = [
    ...angleAssumed(arrival, read.pressureAngleDeg, `${on.path}.gear`),
    ...handUnasked({ arrival, helical: !read.helixDeg.equals(0), hand: read.hand, path }),
    ...sampleSaysOther(arrival, arrived.detail, fieldAt<Arrival>(path, 'taken')),
    ...(own.facts
      ? judgeRoom({ arrival, tipDiameter: approx(own.facts.tipDiameter), path, system: on.units })
      : []),
  ];
  return {
    ...own,
    answer: own.facts === null && arrived.answer ? arrived.answer : own.answer,
    issues: [...own.issues, ...arrived.issues, ...asks],
    working: [...arrived.working, ...own.working],
    detail: { ...own.detail, arrival: arrived.detail },
  };
}
