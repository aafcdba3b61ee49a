import type { AnyStationPlan, PartPlan, StationPlan } from './types.ts';

/** Has the station something to choose from, and nothing chosen? */
function choiceIsOpen(station: AnyStationPlan): boolean {
  switch (station.id) {
    case 'cutter':
      return bestCutter(station) !== null;
    case 'setup':
      return station.detail.material === null;
    default:
      return false;
  }
}

/**
 * The owned cutter to take where none is picked yet: the first that serves.
 * @returns null where one is picked, or none serves
 */
export function bestCutter({ detail }: StationPlan<'cutter'>): { id: string; name: string } | null {
  const [first] = detail.owned;
  return detail.inForce === null && first?.verdict === 'fits' ? { id: first.id, name: first.name } : null;
}

/**
 * Does the station wait for a person before the mill? It lacks something, is in doubt, asks about something,
 * or leaves a choice open. One that is settled and stands has been looked at; what is measured afterwards
 * waits for nobody.
 */
export function waitsForPerson(station: AnyStationPlan): boolean {
  if (station.id === 'inspect') return false;
  if (station.state === 'doubt' || !station.complete) return true;
  if (station.state === 'settled') return false;
  return station.issues.some(({ severity }) => severity === 'query') || choiceIsOpen(station);
}

/**
 * The station to go on to before the mill: the first after this one that waits for a person, or else the
 * first before it. While this one lacks something, those after it only wait for that.
 * @returns null where nothing does
 */
export function nextWaiting({ stations }: PartPlan, from: AnyStationPlan): AnyStationPlan | null {
  const waiting = stations.filter((one) => one.id !== from.id && waitsForPerson(one));
  const before = waiting.find(({ number }) => number < from.number) ?? null;
  if (!from.complete) return before;
  return waiting.find(({ number }) => number > from.number) ?? before;
}
