import type { FileName } from '../../core/files/index.ts';

/** What each file is, as it is called at the bench. */
export const FILE_WORDS: Readonly<Record<FileName extends `${infer Kind}.${string}` ? Kind : never, string>> =
  {
    sheet: 'Route sheet',
    lathe: 'Blank, for the lathe',
    gear: 'Whole gear, true form, life size',
    tooth: 'One tooth, true form, life size',
    mesh: 'The pair in mesh, life size',
    rack: 'Rack, life size',
    worm: 'Worm through its axis, life size',
    wheel: 'Rim of the wheel',
    plate: 'Plate or ring to drill, to size',
    holes: 'Its holes: a table, a drilling program',
    spaces: 'Table of every place',
    turning: 'Program for a turning axis, a stop at each place',
    cutting: 'Program that turns and cuts, for a mill that moves all axes',
  };
