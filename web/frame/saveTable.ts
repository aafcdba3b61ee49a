import { FORMULA } from '../../core/files/index.ts';

/** Hands a file to the person. */
export function saveFile(name: string, text: string | Blob, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Rows of cells as a CSV file; with a mark of its encoding, which spreadsheets ask for. */
export async function saveTable(name: string, rows: readonly (readonly string[])[]): Promise<void> {
  const { default: Papa } = await import('papaparse');
  const text = Papa.unparse(
    rows.map((row) => [...row]),
    { newline: '\r\n', escapeFormulae: FORMULA },
  );
  saveFile(name, `\uFEFF${text}\r\n`, 'text/csv;charset=utf-8');
}
