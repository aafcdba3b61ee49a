import type { z } from 'zod';

/** Where and how something is asked. */
export interface Place {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  /** Below /api, with `{name}` for each part taken from the path. */
  readonly path: string;
  /** The body is the text of a file, not JSON. */
  readonly textBody?: true;
}

/**
 * One thing that can be asked of the server, as data. The server answers it, the page asks it, and the API’s
 * description tells of it, all from the same entry.
 */
export interface Call extends Place {
  readonly summary: string;
  readonly body?: z.ZodType;
  readonly query?: z.ZodType;
  /** The shape of the answer; none where a file is sent. */
  readonly answers?: z.ZodType;
  readonly status?: 200 | 201;
  /** What may be refused, beyond malformed bodies. */
  readonly refusals?: readonly (401 | 403 | 404 | 409 | 413 | 422 | 429 | 503)[];
}

/** Keeps the types of path, body, query and answer with the entry. */
export const call = <const At extends Place, const Rest extends Omit<Call, keyof Place>>(
  place: At,
  rest: Rest,
): At & Rest => ({ ...place, ...rest });

type NamesIn<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}`
  ? Name | NamesIn<Rest>
  : never;

/** What stands in the path: `{ id }` of `/jobs/{id}`. */
export type ParamsOf<Made extends Call> = Readonly<Record<NamesIn<Made['path']>, string>>;
type Read<Schema> = Schema extends z.ZodType ? z.output<Schema> : undefined;
type Sent<Schema> = Schema extends z.ZodType ? z.input<Schema> : undefined;
/** As the server has it, checked and with what was left out filled in. */
export type BodyOf<Made extends Call> = Read<Made['body']>;
export type QueryOf<Made extends Call> = Read<Made['query']>;
/** Nothing where a file is sent. */
export type AnswerOf<Made extends Call> = Made['answers'] extends z.ZodType
  ? z.output<Made['answers']>
  : void;

/** What has to be given to ask it; nothing that it does not take. */
export type Asked<Made extends Call> = ([NamesIn<Made['path']>] extends [never]
  ? object
  : { readonly params: ParamsOf<Made> }) &
  (Made['body'] extends z.ZodType ? { readonly body: Sent<Made['body']> } : object) &
  (Made['query'] extends z.ZodType ? { readonly query: Sent<Made['query']> } : object);

/** What fills in a path and a query. */
export interface Where {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, unknown>>;
}

/** Where it is asked: path and query filled in. */
export function addressOf(place: Place, { params = {}, query = {} }: Where): string {
  const path = place.path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(params[name]!));
  // what is left undefined is not asked for
  const queries = Object.entries(query).flatMap(([name, value]) =>
    value === undefined ? [] : [`${name}=${encodeURIComponent(String(value))}`],
  );
  return `/api${path}${queries.length > 0 ? `?${queries.join('&')}` : ''}`;
}
