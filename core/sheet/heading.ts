import { sayIssue } from '../messages/index.ts';
import { stationOf } from '../plan/index.ts';
import { decimalText, exact, lengthText } from '../units/index.ts';
import { row, type SheetBlock, type SheetRow } from './blocks.ts';
import type { PartAsked } from './asked.ts';

/** What it is made with, by the owner's names. */
export function machinesOf({ part, job, units }: PartAsked): string {
  const dividing = stationOf(part, 'dividing')?.detail;
  const setup = stationOf(part, 'setup')?.detail;
  const cutter = stationOf(part, 'cutter')?.detail;
  const lathe = stationOf(part, 'lathe')?.detail.lathe;
  // the one that is chosen, and only where the work is held by one
  const own = job.parts.find(({ id }) => id === part.id);
  const held = own && 'setup' in own ? own.setup : null;
  const onMandrel = held?.holding === 'mandrel' || held?.holding === 'stub';
  const mandrel = onMandrel ? setup?.mandrels.find(({ id }) => id === held.mandrelId) : undefined;
  // along a line the table divides, and no head stands on it
  const divides = dividing?.inForce?.choice.method === 'table' ? null : dividing?.head;
  const head = divides && `${divides.name}, ${decimalText(exact(divides.ratio))} : 1`;
  const sizes = setup?.cutter;
  const cutterSize =
    sizes && sizes.diameter !== null && sizes.width !== null
      ? `, Ø ${lengthText(sizes.diameter, units)} × ${lengthText(sizes.width, units)}`
      : '';
  return [
    head,
    dividing?.plate && `plate ${dividing.plate.plateName}`,
    setup?.mill?.name ?? dividing?.mill?.name,
    cutter?.inForce
      ? `cutter ${cutter.inForce.name}${cutterSize}`
      : cutter?.chosen && `cutter ${stationOf(part, 'cutter')!.answer}${cutterSize}`,
    mandrel?.name,
    lathe?.name,
  ]
    .filter(Boolean)
    .join(' · ');
}

export function headRows({ part, job, revision, stored }: PartAsked): readonly SheetRow[] {
  const material = stationOf(part, 'setup')?.detail.material?.name ?? '';
  return [
    row('Material', material),
    row('Heat or batch', ''),
    row('For', job.person),
    row('Cut by', ''),
    row('Date', ''),
    row('Card', revision > 0 ? `revision ${revision}${stored ? `, ${stored}` : ''}` : 'not stored'),
  ];
}

/** What still has to be said before it can be cut, station by station. */
export function openBlocks({ part }: PartAsked): readonly SheetBlock[] {
  return part.stations.flatMap((station): SheetBlock[] => {
    const stops = station.issues.filter(
      ({ severity }) => severity === 'needed' || severity === 'wrong' || severity === 'blocked',
    );
    const said = [...new Set(stops.map(sayIssue))];
    if (station.state === 'doubt')
      return [
        {
          kind: 'said',
          tone: 'open',
          lead: `${station.title} is in doubt:`,
          text:
            station.moved.map(({ label, from, to }) => `${label} ${from} → ${to}`).join('; ') ||
            station.answer,
        },
      ];
    if (station.complete || station.id === 'inspect' || said.length === 0) return [];
    return [{ kind: 'said', tone: 'open', lead: `Open: ${station.title}.`, text: said.join(' ') }];
  });
}
