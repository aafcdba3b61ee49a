import { z } from 'zod';

const yesNo = z.enum(['yes', 'no']).default('no');
const figure = (most: number) => z.coerce.number<number>().positive().max(most);

/** How a file is wanted. Each file heeds what concerns it. */
export const fileSetSchema = z.object({
  paper: z.enum(['A4', 'letter']).default('A4'),
  /** On a route sheet: every line of working; a table of every place. */
  working: yesNo,
  spaces: yesNo,
  /** Of a program; left out: the job’s own. */
  units: z.enum(['mm', 'in']).optional(),
  /** Above the work, below the top of a plate, mm. */
  safe: figure(500).default(5),
  deep: figure(200).default(8),
  /** mm a minute, turns a minute */
  feed: figure(5000).default(60),
  rpm: figure(60_000).default(800),
  by: z.enum(['cycle', 'moves']).default('cycle'),
  axis: z.enum(['A', 'B', 'C']).default('A'),
  ends: z.enum(['lf', 'crlf']).default('lf'),
  numbered: yesNo,
  /** Of a rack, degrees: it is divided by its pitch alone. */
  angle: figure(44).default(20),
});
export type FileSet = z.output<typeof fileSetSchema>;
export type FileSetTyped = z.input<typeof fileSetSchema>;
