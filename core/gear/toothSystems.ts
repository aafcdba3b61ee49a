/**
 * Tooth proportions in use, as data. Addendum and whole depth are multiples of the module (mm),
 * which is the same as dividing by the diametral pitch (in); `plusInch` is added to the depth.
 * People genuinely differ by four per cent in depth, so the job says which rule it uses.
 */
export interface ToothSystem {
  readonly id: ToothSystemId;
  readonly name: string;
  readonly addendum: string;
  readonly wholeDepth: string;
  readonly plusInch?: string;
  /** TeX of the depth, in the letters of the trade. */
  readonly depthFormula: string;
  readonly source: string;
  readonly standing: 'published' | 'practice';
}

export const TOOTH_SYSTEM_IDS = [
  'iso53-a',
  'form-2.157',
  'coarse-2.25',
  'fine-2.2',
  'stub-1.8',
  'book-13/6',
  'book-2.156',
] as const;
export type ToothSystemId = (typeof TOOTH_SYSTEM_IDS)[number];

export const TOOTH_SYSTEMS: readonly ToothSystem[] = [
  {
    id: 'iso53-a',
    name: 'ISO 53 profile A, 2.25 m',
    addendum: '1',
    wholeDepth: '2.25',
    depthFormula: 'h = 2.25\\,m',
    source: 'ISO 53:1998, profile A',
    standing: 'published',
  },
  {
    id: 'form-2.157',
    name: 'Form cutter, 2.157 / P',
    addendum: '1',
    wholeDepth: '2.157',
    depthFormula: 'h = \\frac{2.157}{P} = 2.157\\,m',
    source: 'Machinery’s Handbook, involute form cutters: clearance 0.157/P',
    standing: 'published',
  },
  {
    id: 'coarse-2.25',
    name: 'Coarse pitch, 2.25 / P',
    addendum: '1',
    wholeDepth: '2.25',
    depthFormula: 'h = \\frac{2.25}{P} = 2.25\\,m',
    source: 'ANSI B6.1',
    standing: 'published',
  },
  {
    id: 'fine-2.2',
    name: 'Fine pitch, 2.2 / P + 0.002 in',
    addendum: '1',
    wholeDepth: '2.2',
    plusInch: '0.002',
    depthFormula: 'h = \\frac{2.2}{P} + 0.002\\,\\mathrm{in}',
    source: 'ANSI B6.7, 20 P and finer',
    standing: 'published',
  },
  {
    id: 'stub-1.8',
    name: 'Stub, 1.8 / P',
    addendum: '0.8',
    wholeDepth: '1.8',
    depthFormula: 'h = \\frac{1.8}{P} = 1.8\\,m',
    source: 'American stub tooth, 20°',
    standing: 'published',
  },
  {
    id: 'book-13/6',
    name: 'Shop books, 13/6 m',
    addendum: '1',
    wholeDepth: '13/6',
    depthFormula: 'h = \\tfrac{13}{6}\\,m',
    source: 'Printed metric tables; common practice',
    standing: 'practice',
  },
  {
    id: 'book-2.156',
    name: 'Shop books, 2.156 / P',
    addendum: '1',
    wholeDepth: '2.156',
    depthFormula: 'h = \\frac{2.156}{P} = 2.156\\,m',
    source: 'Printed inch tables; common practice',
    standing: 'practice',
  },
];

export function toothSystem(id: ToothSystemId): ToothSystem {
  const found = TOOTH_SYSTEMS.find((system) => system.id === id);
  if (!found) throw new Error(`no tooth system ${id}`);
  return found;
}
