import type { Request, Response, Router } from 'express';
import type { z } from 'zod';
import { shapeIssues } from '../../core/job/index.ts';
import { Refused } from '../problems.ts';

/** One route as data: what runs it, and what the API's description says of it, come from the same place. */
export interface Route<Body extends z.ZodType = z.ZodType, Query extends z.ZodType = z.ZodType> {
  readonly method: 'get' | 'post' | 'put' | 'patch';
  /** With `{name}` for each part taken from the path. */
  readonly path: string;
  readonly summary: string;
  readonly body?: Body;
  /** The body is the text of a file, not JSON. */
  readonly textBody?: true;
  readonly query?: Query;
  /** The shape of the answer; none where a file is sent. */
  readonly answers?: z.ZodType;
  readonly status?: 200 | 201;
  /** What may be refused, beyond malformed bodies. */
  readonly refusals?: readonly (401 | 403 | 404 | 409 | 413 | 422 | 429)[];
  handle(
    request: {
      readonly params: Readonly<Record<string, string>>;
      readonly body: z.output<Body>;
      readonly query: z.output<Query>;
    },
    response: Response,
  ): unknown;
}

/** What the API’s description tells of a route, whoever answers it. */
export type Described = Omit<Route, 'handle'>;

/** Keeps the types of body and query together with their schemas. */
export const route = <Body extends z.ZodType = z.ZodUndefined, Query extends z.ZodType = z.ZodUndefined>(
  made: Route<Body, Query>,
): Route => made;

function parse<T extends z.ZodType>(schema: T | undefined, raw: unknown): z.output<T> {
  if (!schema) return undefined as z.output<T>;
  const parsed = schema.safeParse(raw);
  if (parsed.success) return parsed.data;
  throw new Refused(422, shapeIssues(parsed.error, raw));
}

/** Mounts routes: parse once at the boundary, then the handler sees only checked values. */
export function mount(router: Router, routes: readonly Route[]): void {
  for (const { method, path, body, textBody, query, status, handle } of routes) {
    router[method](path.replace(/\{(\w+)\}/g, ':$1'), async (request: Request, response: Response) => {
      const given = textBody
        ? typeof request.body === 'string'
          ? request.body
          : ''
        : parse(body, request.body);
      const params = request.params as Record<string, string>;
      const answer: unknown = await handle(
        { params, body: given, query: parse(query, request.query) },
        response,
      );
      if (!response.headersSent) response.status(status ?? 200).json(answer);
    });
  }
}
