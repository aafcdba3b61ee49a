/** A line is no longer than this; what is longer is noise. */
export const LONGEST_LINE = 200;

/** What came of a line that has not ended yet. */
export interface OpenLine {
  readonly begun: string;
  /** It is too long already: the rest of it is passed over. */
  readonly over: boolean;
}
export const NO_LINE: OpenLine = { begun: '', over: false };

/**
 * Takes what came in and gives the lines that ended in it. Whatever comes, no more than one line is kept.
 * @param chunk of any length, with any signs in it
 */
export function takeLines(
  open: OpenLine,
  chunk: string,
): { readonly open: OpenLine; readonly lines: readonly string[] } {
  const lines: string[] = [];
  let { begun, over } = open;
  let from = 0;
  for (;;) {
    const end = endOfLine(chunk, from);
    const part = chunk.slice(from, Math.min(end, from + LONGEST_LINE + 1));
    over ||= begun.length + part.length > LONGEST_LINE || end - from > LONGEST_LINE;
    begun = over ? '' : begun + part;
    if (end === chunk.length) return { open: { begun, over }, lines };
    const line = begun.trim();
    if (!over && line !== '' && !hasControls(line)) lines.push(line);
    begun = '';
    over = false;
    from = end + 1;
  }
}

function endOfLine(chunk: string, from: number): number {
  const [n, r] = [chunk.indexOf('\n', from), chunk.indexOf('\r', from)];
  return Math.min(n < 0 ? chunk.length : n, r < 0 ? chunk.length : r);
}

/** Signs that no line of these has: it is no text. */
const hasControls = (line: string): boolean =>
  [...line].some((sign) => {
    const code = sign.codePointAt(0)!;
    return code < 32 || code > 126;
  });
