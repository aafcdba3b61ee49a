/** Where the next page goes on: behind the last row of this one, whatever has come in before it. */
export const cursorOf = (value: string, id: string): string =>
  Buffer.from(JSON.stringify([value, id])).toString('base64url');

/** @returns null for what is no cursor of ours: such a page begins at the start */
export function readCursor(text: string | undefined): readonly [string, string] | null {
  if (text === undefined) return null;
  try {
    const read: unknown = JSON.parse(Buffer.from(text, 'base64url').toString());
    return Array.isArray(read) && read.length === 2 && read.every((one) => typeof one === 'string')
      ? [read[0] as string, read[1] as string]
      : null;
  } catch {
    return null;
  }
}

/** Conditions of a query, as SQL with its figures beside it. */
export class Conditions {
  private readonly parts: string[] = [];
  readonly given: (string | number)[] = [];
  also(condition: string, ...values: (string | number)[]): this {
    this.parts.push(condition);
    this.given.push(...values);
    return this;
  }
  /** Where it is asked for at all. */
  alsoIf(condition: string, value: string | undefined): this {
    return value === undefined ? this : this.also(condition, value);
  }
  /** All the words, each as it is: a quote, a % or a _ is a sign like any other. */
  words(column: string, plain: string): this {
    for (const word of plain.split(/\s+/)) if (word !== '') this.also(`instr(${column}, ?) > 0`, word);
    return this;
  }
  get sql(): string {
    return this.parts.length === 0 ? '1' : this.parts.join(' and ');
  }
}
