import { createHash } from 'node:crypto';
import { closeSync, openSync, readFileSync, readSync } from 'node:fs';
import { StringDecoder } from 'node:string_decoder';
import { checkHead, LATER_LISTS, LISTS, notABackup, otherKind, type ListName } from './backupFile.ts';

/** One thing out of a backup; the shop comes first, lists follow as they stand in the file. */
export type BackupRow =
  { readonly of: 'shop'; readonly raw: unknown } | { readonly of: ListName; readonly raw: unknown };

const CHANGED =
  'it was changed since it was written; if that was on purpose, take its last line, with sha256, out of it';

/** Its lines are not as they are written here: it has to be read in one piece. */
export class NotInLines extends Error {}

const PIECE = 1 << 20;

/** The lines of a file, without their ends; no more than one and a piece of the file is in memory. */
function* linesOf(file: string): Generator<string> {
  const fd = openSync(file, 'r');
  try {
    const decoder = new StringDecoder('utf8');
    const piece = Buffer.alloc(PIECE);
    let open: string[] = [];
    for (let size = PIECE; size > 0;) {
      size = readSync(fd, piece, 0, PIECE, null);
      const [rest, ...lines] = decoder.write(piece.subarray(0, size)).split('\n');
      open.push(rest!);
      for (const line of lines) {
        yield open.join('');
        open = [line];
      }
    }
    yield open.join('') + decoder.end();
  } finally {
    closeSync(fd);
  }
}

/** What is put in again as the file goes by: all of it but the comma and the line of the hash at the end. */
class Whole {
  private readonly hash = createHash('sha256');
  private held: string | null = null;
  private said: string | null = null;
  /** @returns the line, without the comma that parts it from what follows */
  line(text: string): string {
    const end = /^"sha256":"([0-9a-f]{64})"\}$/.exec(text);
    if (this.said !== null && text !== '') throw new NotInLines();
    if (end) {
      this.hash.update(this.held!.replace(/,$/, ''));
      this.said = end[1]!;
    } else if (this.said === null) {
      if (this.held !== null) this.hash.update(`${this.held}\n`);
      this.held = text;
    }
    return text.replace(/,$/, '');
  }
  /** @throws Refused 422 where it has another hash than it says */
  end(): void {
    if (this.said === null) throw new NotInLines();
    if (this.hash.digest('hex') !== this.said) throw notABackup(CHANGED);
  }
}

function parsedLine(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new NotInLines();
  }
}

/**
 * A backup as it is written here, one row a line, a row at a time: no more than one is in memory.
 * @throws NotInLines where it is written otherwise; some rows may have been told by then
 * @throws Refused 422
 */
export function* rowsInLines(file: string): Generator<BackupRow> {
  if (!beginsInLines(file)) throw new NotInLines();
  const lines = linesOf(file);
  try {
    yield* rowsOf(lines);
  } finally {
    lines.return(undefined);
  }
}

/** What a backup of ours begins with; nothing else is so short and has these alone. */
const HEAD = /^\{"format":"[^"\n]*","version":\d+,"at":"[^"\n]*",\n/;

function beginsInLines(file: string): boolean {
  const fd = openSync(file, 'r');
  try {
    const start = Buffer.alloc(300);
    return HEAD.test(start.toString('utf8', 0, readSync(fd, start, 0, start.length, null)));
  } finally {
    closeSync(fd);
  }
}

function* rowsOf(lines: Generator<string>): Generator<BackupRow> {
  const whole = new Whole();
  const next = (): string => {
    const { value, done } = lines.next();
    if (done) throw new NotInLines();
    return whole.line(value as string);
  };
  checkHead(parsedLine(`${next()}}`));
  const { shop } = parsedLine(`{${next()}}`) as { shop?: unknown };
  yield { of: 'shop', raw: shop };
  const seen = new Set<ListName>();
  for (const text of lines) {
    const line = whole.line(text);
    if (line === '' || line.startsWith('"sha256":')) continue;
    const [, name, close] = /^"(\w+)":\[(\]?)$/.exec(line) ?? [];
    const of = LISTS.find((list) => list === name);
    if (!of || seen.has(of)) throw new NotInLines();
    seen.add(of);
    let isOpen = close === '';
    while (isOpen) {
      const row = next();
      isOpen = !row.endsWith('}]');
      yield { of, raw: parsedLine(isOpen ? row : row.slice(0, -1)) };
    }
  }
  whole.end();
  needLists(seen);
}

function needLists(seen: ReadonlySet<string>): void {
  if (LISTS.some((list) => !seen.has(list) && !LATER_LISTS.includes(list))) throw otherKind();
}

/** Does what stands before the hash at the end have that hash? */
function isWhole(text: string, said: unknown): boolean {
  const end = /,\n"sha256":"[0-9a-f]{64}"\}\s*$/.exec(text);
  return end !== null && createHash('sha256').update(text.slice(0, end.index)).digest('hex') === said;
}

/** A backup in whatever lines, as JSON in one piece. @throws Refused 422 */
export function* rowsInOnePiece(file: string): Generator<BackupRow> {
  const text = readFileSync(file, 'utf8').replace(/^\uFEFF/, '');
  let raw: Record<string, unknown>;
  try {
    raw = JSON.parse(text) as Record<string, unknown>;
  } catch {
    throw notABackup('it is not whole, or no JSON');
  }
  checkHead(raw);
  // a file of before has none
  if (raw['sha256'] !== undefined && !isWhole(text, raw['sha256'])) throw notABackup(CHANGED);
  yield { of: 'shop', raw: raw['shop'] };
  const lists = LISTS.filter((list) => raw[list] !== undefined);
  needLists(new Set(lists));
  for (const of of lists) {
    const rows = raw[of];
    if (!Array.isArray(rows)) throw otherKind();
    for (const row of rows as unknown[]) yield { of, raw: row };
  }
}
