import { wordsOfDivided } from '../cut/index.ts';
import {
  choiceText,
  indexingTable,
  landingGround,
  landingText,
  smallAngleText,
  aimFrom,
  holeRows,
} from '../dividing/index.ts';
import { stationOf } from '../plan/index.ts';
import { decimalText, degreesText, exact, lengthText, otherSystem, type UnitSystem } from '../units/index.ts';
import type { SheetBlock } from './blocks.ts';
import { plainTex } from './plainTex.ts';
import type { PartAsked } from './asked.ts';

const CHECK_PLACES = { mm: 3, in: 4 } as const;

/** How it is measured: what to set, what it should read, and a line for what it reads. */
export function inspectBlocks({ part, units }: PartAsked): readonly SheetBlock[] {
  const checks = stationOf(part, 'inspect')?.detail.checks.filter(({ out }) => out === null) ?? [];
  if (checks.length === 0) return [];
  const figure = (mm: number, system: UnitSystem) => lengthText(mm, system, 'fine');
  return [
    {
      kind: 'table',
      title: 'Inspection',
      aside: '',
      heading: ['by', 'set', 'should read', `${otherSystem(units)}`, 'within', 'reads'],
      rows: checks.map(({ name, set, should, within }) => [
        name,
        set,
        figure(should, units),
        figure(should, otherSystem(units)),
        within === null ? '' : `± ${(units === 'mm' ? within : within / 25.4).toFixed(CHECK_PLACES[units])}`,
        '',
      ]),
    },
  ];
}

export function workingBlocks({ part }: PartAsked): readonly SheetBlock[] {
  return part.stations.flatMap((station): SheetBlock[] =>
    station.working.length === 0
      ? []
      : [
          {
            kind: 'table',
            title: `Working: ${station.title}`,
            aside: 'lengths in mm',
            heading: ['', 'formula', 'figures put in', 'result', 'after'],
            rows: station.working.map(({ label, formula, put, result, source }) => [
              label,
              plainTex(formula),
              plainTex(put),
              plainTex(result),
              source,
            ]),
          },
        ],
  );
}

/** The table of every space, in the order of cutting. */
export function spacesBlocks({ part, run }: PartAsked): readonly SheetBlock[] {
  const detail = stationOf(part, 'dividing')?.detail;
  if (!run || !detail?.inForce || !detail.aim) return [];
  const ratio = exact(detail.head?.ratio ?? '1');
  const { choice } = detail.inForce;
  const rows = indexingTable({ ratio, choice, aim: aimFrom(detail.aim), start: run.startSpace });
  const ground = landingGround(choice, ratio);
  const name = wordsOfDivided(run.divides).one;
  return [
    {
      kind: 'table',
      title: 'Table of every place',
      aside: choiceText(choice),
      heading: ['order', name, 'move to it', 'stands at', 'turns of the crank', 'place', 'off by'],
      rows: rows.map((each) => [
        String(each.index),
        String(each.space),
        each.index === 1 ? 'the start' : landingText(each.landing, ground),
        'hole' in each.landing ? `hole ${each.landing.hole}` : '',
        each.crankTurns === null ? '' : decimalText(exact(each.crankTurns), 4),
        degreesText(exact(each.place)),
        smallAngleText(each.off),
      ]),
    },
  ];
}

/** The holes of a plate that is to be made, in the order of drilling. */
export function holeBlocks({ part, job }: PartAsked): readonly SheetBlock[] {
  const own = job.parts.find(({ id }) => id === part.id);
  const made = stationOf(part, 'dividing')?.detail.made;
  // only where the plate was spoken of: every part has one laid ready
  if (!made || !own || !('dividing' in own) || stationOf(part, 'dividing')!.detail.inForce !== null)
    return [];
  return [
    {
      kind: 'table',
      title: `${made.use === 'ring' ? 'Ring' : 'Plate'} of ${made.holes} to drill`,
      aside: 'mm from the middle, to the right and away from you; in the order of drilling',
      heading: ['order', 'hole', 'X', 'Y'],
      rows: holeRows(made),
    },
  ];
}
