import { otherScrew } from '../trouble/index.ts';
import type { TableBench } from './bench.ts';
import { always, early, hidden, KNEE, type FaultOn } from './fault.ts';

/** A worn screw’s slack, by that of one in use. */
const WORN = 2;
/** Of a space, at each cut. */
const SLIPS = 0.008;
/** Across the face, mm. */
const ASKEW = 0.25;
const LOWER = 0.12;

/** What can be wrong where a table divides along a bar. */
export const TABLE_FAULTS: readonly FaultOn<TableBench>[] = [
  {
    key: 'slack',
    symptom: 'end-tooth',
    say: 'The table was run back before the first cut: the slack of its screw is on the wrong side',
    fits: ({ run }) => !run.mount?.readout,
    hide: (bench) => {
      const ground = hidden(bench, { slack: bench.slack * WORN });
      const over = { ...ground.machine.over, along: ground.bench.slack };
      return { ...ground, machine: { ...ground.machine, over } };
    },
  },
  {
    key: 'screw',
    symptom: 'drift',
    say: 'The screw of the table is not the one its dial was made for',
    fits: ({ run }) => !run.mount?.readout,
    hide: (bench) => hidden(bench, { stretched: otherScrew(bench.screw.lead) / bench.screw.lead }),
  },
  {
    key: 'slipped',
    symptom: 'drift',
    say: 'The bar slips in the vice at every cut',
    fits: always,
    hide: (bench) => hidden(bench, { slips: SLIPS * bench.bar.pitch }),
  },
  {
    key: 'askew',
    symptom: 'lean',
    say: 'The bar does not lie square to the way it is fed',
    fits: always,
    hide: (bench) => hidden(bench, { aside: [-ASKEW / 2, 0, ASKEW / 2] }),
  },
  {
    key: 'packing',
    symptom: 'shallow',
    say: 'The bar lies lower at one side',
    fits: always,
    hide: (bench) => hidden(bench, { away: [0, LOWER / 2, LOWER] }),
  },
  KNEE,
  early('the cross slide'),
];
