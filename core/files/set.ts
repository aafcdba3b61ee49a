import { z } from 'zod';

const yesNo = z.enum(['yes', 'no']).default('no');
/** Words of a program, and remarks; nothing that would end it or hide in it. */
const ownBlocks = z
  .string()
  .max(400)
  .regex(
    /^(?:[A-Z]-?\d+\.?\d*|\([A-Z0-9 .,-]*\)|[ \n;])*$/,
    'Words of a program, like G17 or M8, in capitals.',
  )
  .default('');
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
  /** Which way the axis turns as the cutter goes along a right-hand helix. */
  sense: z.enum(['plus', 'minus']).default('plus'),
  /** Blocks of the owner’s own before the first move and before the end, semicolons between them. */
  begin: ownBlocks,
  end: ownBlocks,
  ends: z.enum(['lf', 'crlf']).default('lf'),
  numbered: yesNo,
  /** Of a rack, degrees: it is divided by its pitch alone. */
  angle: figure(44).default(20),
});
export type FileSet = z.output<typeof fileSetSchema>;
export type FileSetTyped = z.input<typeof fileSetSchema>;
