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
  if (file.size > MOST_BYTES) {
    const size = (file.size / 1_000_000).toFixed(1);
    return {
      ok: false,
      why: `${file.name} is ${size} MB. A table of a shop has a few kB; 1 MB is the most that is taken. Nothing was changed.`,
    };
  }
  const text = (await file.text()).replace(/^\uFEFF/, '');
  if (text.includes('\u0000'))
    return { ok: false, why: `${file.name} is no text: save the sheet as CSV first. Nothing was changed.` };
  const { default: Papa } = await import('papaparse');
  const { data, errors } = Papa.parse<string[]>(text, {
    skipEmptyLines: false,
    delimitersToGuess: [',', ';', '\t'],
  });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) {
    return {
      ok: false,
      why: `${file.name} has a quoted cell that never ends, in row ${(quotes.row ?? 0) + 1}. Nothing was changed.`,
    };
  }
  return { ok: true, cells: data };
}
