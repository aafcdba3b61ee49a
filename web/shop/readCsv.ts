/** More than any shop has: a table of a thousand rows is some tens of kB. */
const MOST_BYTES = 1_000_000;

export type CsvRead =
  | { readonly ok: true; readonly cells: readonly (readonly string[])[] }
  | { readonly ok: false; readonly why: string };

/**
 * Rows of cells from a file, whatever a spreadsheet made of it: its mark of encoding, semicolons, quoted
 * cells.
 */
export async function readCsv(file: File): Promise<CsvRead> {
  if (file.size > MOST_BYTES) return tooLarge(file.name, file.size);
  const text = (await file.text()).replace(/^\uFEFF/, '');
  if (text.includes('\u0000'))
    return { ok: false, why: `${file.name} is no text: save the sheet as CSV first. Nothing was changed.` };
  return readCells(file.name, text, [',', ';', '\t']);
}

/** What pasted rows are called. */
export const PASTED = 'What was pasted';

/** Rows of cells as a spreadsheet gives them to be pasted: a tab between two. */
export async function readPasted(text: string): Promise<CsvRead> {
  if (text.length > MOST_BYTES) return tooLarge(PASTED, text.length);
  // one column alone has no tab; a comma in a cell then parts nothing
  return readCells(PASTED, text.replace(/[\r\n]+$/, ''), text.includes('\t') ? ['\t'] : [',', ';']);
}

const tooLarge = (name: string, bytes: number): CsvRead => ({
  ok: false,
  why: `${name} is ${(bytes / 1_000_000).toFixed(1)} MB. A table of a shop has a few kB; 1 MB is the most that is taken. Nothing was changed.`,
});

async function readCells(name: string, text: string, delimiters: string[]): Promise<CsvRead> {
  const { default: Papa } = await import('papaparse');
  const { data, errors } = Papa.parse<string[]>(text, {
    skipEmptyLines: false,
    delimitersToGuess: delimiters,
  });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) {
    return {
      ok: false,
      why: `${name} has a quoted cell that never ends, in row ${(quotes.row ?? 0) + 1}. Nothing was changed.`,
    };
  }
  // what was written so that a spreadsheet takes it for words
  return { ok: true, cells: data.map((row) => row.map((cell) => cell.replace(/^'(?=[=+\-@])/, ''))) };
}
