import type {
  Content,
  ContentColumns,
  ContentTable,
  ContentText,
  TDocumentDefinitions,
  TableCell,
} from 'pdfmake/interfaces.js';
import type { FileSet } from '../../core/files/index.ts';
import { boxOf, svgOf, type Drawing } from '../../core/drafting/index.ts';
import type { PartSheet, Sheet, SheetBlock, SheetBox, SheetRow } from '../../core/sheet/index.ts';
import { faceRuns, lacksSigns, MAIN_FACE } from './faces.ts';

/** A point of print in mm. */
export const POINT = 25.4 / 72;
/** Sheets, mm: what is left free round them, and how wide the print is. */
const EDGE = 12;
const WIDE = { A4: 210 - 2 * EDGE, letter: 215.9 - 2 * EDGE } as const;
const GAP = 6;
const SOFT = '#555';
const RULE = '#999';
/** Over the drawing, mm, as svgOf leaves it. */
const MARGIN = 1;

/** A picture that is kept with the job. */
export interface SheetPicture {
  readonly about: string;
  readonly words: string;
  /** A data address of a JPEG or PNG; null where only something is said of them. */
  readonly image: string | null;
}

/** A list of so few lines is not parted by the end of a page. */
const MOST_KEPT_TOGETHER = 12;

type Set = Pick<ContentText, 'bold' | 'fontSize' | 'color' | 'alignment' | 'margin'>;

/** A word longer than this is no word: it may be parted, so that it does not push the sheet apart. */
const LONGEST_WORD = 18;

/** Stretches of one face each; an endless word in pieces, between which a line may end. */
const stretches = (text: string): readonly { readonly text: string; readonly font: string }[] =>
  faceRuns(text).flatMap(({ text: run, face }) =>
    (run.match(new RegExp(`\\s|\\S{1,${LONGEST_WORD}}`, 'gu')) ?? []).reduce<
      { text: string; font: string }[]
    >((parts, piece) => {
      const last = parts.at(-1);
      const follows = last && !(piece.trim() !== '' && /\S$/.test(last.text));
      if (last && follows) last.text += piece;
      else parts.push({ text: piece, font: face });
      return parts;
    }, []),
  );

/** Words in the faces that have them. */
const words = (text: string, set: Set = {}): ContentText => ({ text: [...stretches(text)], ...set });

/** Two sorts in one line: the first bold. */
const led = (lead: string, text: string): ContentText => ({
  text: [
    ...stretches(lead === '' ? '' : `${lead} `).map((each) => ({ ...each, bold: true })),
    ...stretches(text),
  ],
});

const faces = { main: MAIN_FACE, runs: faceRuns } as const;

/** A drawing at its size on paper. */
export function drawingContent(drawing: Drawing): Content {
  const { left, right } = boxOf(drawing);
  return { svg: svgOf(drawing, { margin: MARGIN, faces }), width: (right - left + 2 * MARGIN) / POINT };
}

/** A thin line under each row. */
const LINED = {
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
  vLineWidth: () => 0,
  hLineColor: () => RULE,
  paddingLeft: () => 0,
  paddingRight: () => 4,
  paddingTop: () => 1.6,
  paddingBottom: () => 1.4,
} as const;

/** A title, and what else is to be known to its right. */
const titleCell = (title: string, aside: string): ContentColumns => ({
  columns: [
    { ...words(title, { bold: true, fontSize: 9.5 }), width: 'auto', noWrap: true },
    { ...words(aside, { color: SOFT, fontSize: 8, alignment: 'right', margin: [0, 1, 0, 0] }), width: '*' },
  ],
  columnGap: 8,
});

const TITLE_RULE = { hLineWidth: (i: number) => (i === 1 ? 0.8 : 0), hLineColor: () => '#000' } as const;

/** A title with a line below it. */
const titled = (title: string, aside: string): Content => ({
  table: { widths: ['*'], body: [[titleCell(title, aside)]] },
  layout: { ...LINED, ...TITLE_RULE, paddingRight: () => 0 },
  margin: [0, 7, 0, 2],
});

/** A title as the first row of a table, so that it is never parted from it and stands again on a new page. */
const titleRow = (title: string, aside: string, across: number): TableCell[] => [
  { ...titleCell(title, aside), colSpan: across },
  ...Array.from({ length: across - 1 }, () => ({})),
];

const rowCells = ({ label, figure, other, strong }: SheetRow): TableCell[] => [
  words(label, { bold: strong }),
  { ...words(figure, { bold: true, alignment: 'right' }), noWrap: true },
  { ...words(other, { color: SOFT, alignment: 'right', fontSize: 8 }), noWrap: true },
];

/** One row for each figure; a row of words alone takes the room of both. */
function rowsTable(rows: readonly SheetRow[]): ContentTable {
  return {
    table: {
      widths: ['*', 'auto', 'auto'],
      dontBreakRows: true,
      body: rows.map((each) =>
        each.other === ''
          ? [
              words(each.label, { bold: each.strong }),
              { ...words(each.figure, { bold: true, alignment: 'right' }), colSpan: 2 },
              {},
            ]
          : rowCells(each),
      ),
    },
    layout: LINED,
  };
}

/** So many boxes stand side by side: more where less is written in them. */
const acrossFor = (boxes: readonly SheetBox[]): number => {
  const longest = Math.max(...boxes.map(({ at }) => at.length));
  return longest <= 3 ? 15 : longest <= 5 ? 12 : longest <= 8 ? 8 : 5;
};

const boxCell = ({ number, at }: SheetBox): TableCell => ({
  stack: [
    words(String(number), { fontSize: 6.5, color: '#000' }),
    words(at, { fontSize: 9.5, bold: true, alignment: 'right' }),
  ],
});

/** The boxes of a round. The first and every tenth have a heavy line all round. */
function boxesTable({ title, aside, boxes }: Extract<SheetBlock, { kind: 'boxes' }>): Content {
  const across = acrossFor(boxes);
  const rows = Array.from({ length: Math.ceil(boxes.length / across) }, (_, i) =>
    boxes.slice(i * across, (i + 1) * across),
  );
  const cells = rows.map((row) =>
    Array.from({ length: across }, (_, i): TableCell => {
      const box = row[i];
      if (!box) return {};
      return { table: { widths: ['*'], body: [[boxCell(box)]] }, layout: boxLayout(box.heavy ? 1.6 : 0.5) };
    }),
  );
  return {
    table: {
      headerRows: 1,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: Array.from({ length: across }, () => '*'),
      body: [titleRow(title, aside, across), ...cells],
    },
    layout: {
      ...TITLE_RULE,
      vLineWidth: () => 0,
      paddingLeft: () => 1,
      paddingRight: () => 1,
      paddingTop: () => 1,
      paddingBottom: (row: number) => (row === 0 ? 2 : 1),
    },
    margin: [0, 7, 0, 0],
  };
}

const boxLayout = (width: number) => ({
  hLineWidth: () => width,
  vLineWidth: () => width,
  paddingLeft: () => 2,
  paddingRight: () => 2,
  // a heavier line takes no more room
  paddingTop: () => 1.3 - width,
  paddingBottom: () => 1.8 - width,
});

const FRAMED = {
  hLineWidth: () => 0.8,
  vLineWidth: () => 0.8,
  paddingLeft: () => 5,
  paddingRight: () => 5,
  paddingTop: () => 3,
  paddingBottom: () => 3,
} as const;

/** Prints blocks in a column of a width, mm. */
class Printing {
  private readonly pictures: readonly SheetPicture[];
  constructor(pictures: readonly SheetPicture[]) {
    this.pictures = pictures;
  }

  blocks(blocks: readonly SheetBlock[], wide: number): Content[] {
    return blocks.flatMap((block) => this.block(block, wide));
  }

  private block(block: SheetBlock, wide: number): Content[] {
    switch (block.kind) {
      case 'rows':
        return [titled(block.title, block.aside), rowsTable(block.rows)];
      case 'drawing':
        return [
          { stack: [titled(block.title, block.aside), drawingContent(block.drawing)], unbreakable: true },
        ];
      case 'list': {
        const stack = [titled(block.title, block.aside), ...listContent(block)];
        return block.lines.length <= MOST_KEPT_TOGETHER ? [{ stack, unbreakable: true }] : stack;
      }
      case 'boxes':
        return [boxesTable(block)];
      case 'said':
        return [saidContent(block)];
      case 'table':
        return [tableContent(block)];
      case 'blanks':
        return [blanksContent(block.labels)];
      case 'pictures':
        return this.pictured(block, wide);
      case 'beside': {
        const half = (wide - GAP) / 2;
        const both = block.left.length > 0 && block.right.length > 0;
        if (!both) return this.blocks([...block.left, ...block.right], wide);
        return [
          {
            columns: [
              { width: half / POINT, stack: this.blocks(block.left, half) },
              { width: half / POINT, stack: this.blocks(block.right, half) },
            ],
            columnGap: GAP / POINT,
          },
        ];
      }
    }
  }

  private pictured({ about, alone }: Extract<SheetBlock, { kind: 'pictures' }>, wide: number): Content[] {
    const own = this.pictures.filter((each) =>
      alone ? each.about === about : each.about === about || each.about.startsWith(`${about}/`),
    );
    return own.map(({ image, words: said }) => ({
      stack: [
        ...(image === null ? [] : [{ image, fit: [wide / POINT, 90 / POINT] as [number, number] }]),
        ...(said === '' ? [] : [words(said, { color: SOFT, fontSize: 8 })]),
      ],
      margin: [0, 6, 0, 0],
      unbreakable: true,
    }));
  }
}

function listContent({ large, lines, numbered }: Extract<SheetBlock, { kind: 'list' }>): Content[] {
  const said = lines.map((line) => words(line));
  return [
    ...(large === '' ? [] : [words(large, { bold: true, fontSize: 15, margin: [0, 1, 0, 2] })]),
    numbered
      ? { ol: said, margin: [0, 0, 0, 2] }
      : { stack: said.map((each) => ({ ...each, margin: [0, 1, 0, 1] })) },
  ];
}

function saidContent({ tone, lead, text }: Extract<SheetBlock, { kind: 'said' }>): Content {
  if (tone === 'plain') return { ...led(lead, text), margin: [0, 3, 0, 0] };
  return {
    table: { widths: ['*'], body: [[led(lead, text)]], dontBreakRows: true },
    layout: FRAMED,
    margin: [0, 5, 0, 0],
  };
}

/** For a figure written in by hand, points. */
const ROOM_TO_WRITE = 60;

/** What takes most room gets what is left of it. */
function tableContent({ title, aside, heading, rows }: Extract<SheetBlock, { kind: 'table' }>): Content {
  const longest = heading.map((title, i) =>
    Math.max(title.length, ...rows.map((row) => row[i]?.length ?? 0)),
  );
  const isBlank = (i: number) => rows.length > 0 && rows.every((row) => (row[i] ?? '') === '');
  const widths = longest.map((length, i) => (length > 20 ? '*' : isBlank(i) ? ROOM_TO_WRITE : 'auto'));
  return {
    table: {
      headerRows: 2,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: widths.includes('*') ? widths : widths.map(() => '*'),
      body: [
        titleRow(title, aside, heading.length),
        heading.map((each) => words(each, { color: SOFT, fontSize: 8 })),
        ...rows.map((row) => row.map((cell) => words(cell === '' ? ' ' : cell))),
      ],
    },
    layout: { ...LINED, hLineWidth: (i: number) => (i === 0 ? 0 : i === 1 ? 0.8 : 0.4) },
    margin: [0, 7, 0, 0],
  };
}

const blanksContent = (labels: readonly string[]): Content => ({
  columns: labels.map((label) => words(`${label} ____________________`)),
  margin: [0, 8, 0, 4],
});

/** Name, what it is, what it is made with; who, when; and the square for a camera. */
function headContent(part: PartSheet, address: string | null): Content {
  const to = address === null ? null : `${address}/${part.partId}`;
  return {
    table: {
      widths: ['*', 150, ...(to === null ? [] : ['auto'])],
      body: [
        [
          {
            stack: [
              words(part.title, { bold: true, fontSize: 17 }),
              words(part.what, { fontSize: 11, margin: [0, 1, 0, 3] }),
              words(part.machines, { color: SOFT, fontSize: 8.5 }),
            ],
          },
          {
            table: {
              widths: ['auto', '*'],
              body: part.head.map(({ label, figure }) => [
                words(label, { color: SOFT, fontSize: 8.5 }),
                words(figure === '' ? ' ' : figure, { fontSize: 8.5 }),
              ]),
            },
            layout: LINED,
          },
          ...(to === null ? [] : [{ qr: to, fit: 74, eccLevel: 'M' as const }]),
        ],
      ],
    },
    layout: {
      ...LINED,
      hLineWidth: (i: number) => (i === 1 ? 1.2 : 0),
      hLineColor: () => '#000',
      paddingRight: () => 8,
      paddingBottom: () => 6,
    },
  };
}

/**
 * A job on paper as a PDF’s definition: each part begins on a page of its own.
 * @param pictures kept with the job, as data
 */
export function sheetDefinition(
  { name, parts, address, foot }: Sheet,
  { paper }: Pick<FileSet, 'paper'>,
  pictures: readonly SheetPicture[],
): TDocumentDefinitions {
  const wide = WIDE[paper];
  const printing = new Printing(pictures);
  const lacking = lacksSigns(JSON.stringify(parts));
  return {
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [EDGE / POINT, EDGE / POINT, EDGE / POINT, (EDGE + 6) / POINT],
    info: { title: name },
    defaultStyle: { font: MAIN_FACE, fontSize: 9, lineHeight: 1.05 },
    content: [
      ...parts.map((part, i): Content => ({
        stack: [headContent(part, address), ...printing.blocks(part.blocks, wide)],
        ...(i > 0 ? { pageBreak: 'before' } : {}),
      })),
      ...(lacking
        ? [words('□ stands for a sign that the letters of this sheet lack.', { color: SOFT })]
        : []),
    ],
    footer: (page, pages) => ({
      columns: [
        words(`${name} · ${foot}`, { color: SOFT, fontSize: 7.5 }),
        words(`sheet ${page} of ${pages}`, { color: SOFT, fontSize: 7.5, alignment: 'right' }),
      ],
      margin: [EDGE / POINT, 4, EDGE / POINT, 0],
    }),
  };
}

/** A drawing alone on a sheet large enough for it, at its size, titled. */
export function drawingDefinition(
  title: string,
  drawing: Drawing,
  { paper }: Pick<FileSet, 'paper'>,
): TDocumentDefinitions {
  const { left, right, bottom, top } = boxOf(drawing);
  const [wide, tall] = [right - left + 2 * (MARGIN + EDGE), top - bottom + 2 * (MARGIN + EDGE) + 14];
  const usual = paper === 'A4' ? ([210, 297] as const) : ([215.9, 279.4] as const);
  const fits = wide <= usual[0] && tall <= usual[1];
  return {
    pageSize: fits
      ? paper === 'A4'
        ? 'A4'
        : 'LETTER'
      : { width: Math.max(wide, usual[0]) / POINT, height: Math.max(tall, usual[1]) / POINT },
    pageMargins: EDGE / POINT,
    info: { title },
    defaultStyle: { font: MAIN_FACE, fontSize: 9 },
    content: [
      words(`${title}. Print at 100 %, not fitted to the page.`, { bold: true, margin: [0, 0, 0, 6] }),
      drawingContent(drawing),
    ],
  };
}
