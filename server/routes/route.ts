import type { Request, Response, Router } from 'express';
import { createWriteStream, rmSync } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { z } from 'zod';
import { fileNameOf, shapeIssues } from '../../core/job/index.ts';
import type { AnswerOf, BodyOf, Call, ParamsOf, QueryOf } from '../../core/wire/index.ts';
import { Refused, tooLarge } from '../problems.ts';

/** What a handler is given, checked. */
interface Given<Made extends Call> {
  readonly params: ParamsOf<Made>;
  readonly body: BodyOf<Made>;
  readonly query: QueryOf<Made>;
}

type Handler<Made extends Call> = (
  given: Given<Made>,
  response: Response,
) => AnswerOf<Made> | Promise<AnswerOf<Made>>;

/** A call with what answers it. */
export interface Route {
  readonly call: Call;
  handle(
    given: {
      readonly params: Readonly<Record<string, string>>;
      readonly body: unknown;
      readonly query: unknown;
    },
    response: Response,
  ): unknown;
}

/** Who answers a call; the types are the call’s own. One that sends a file answers by the response itself. */
export const answer = <Made extends Call>(made: Made, handle: Handler<Made>): Route => ({
  call: made,
  handle: (given, response) => handle(given as Given<Made>, response),
});

/** Aborted when whoever asked goes away before the answer is sent. */
export function goneOf(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => response.writableFinished || gone.abort());
  return gone.signal;
}

/** Who answers a call with text that is JSON already, worked out elsewhere. */
export const answerText = <Made extends Call>(
  made: Made,
  handle: (given: Given<Made>, gone: AbortSignal) => Promise<string>,
): Route => ({
  call: made,
  handle: async (given, response) => {
    const text = await handle(given as Given<Made>, goneOf(response));
    response.type('application/json').send(text);
  },
});

interface SentFile {
  readonly bytes: Uint8Array;
  readonly type: string;
  /** What it is kept as: by the job, and which file of it. */
  readonly called: { readonly job: string; readonly name: string };
}

/** Who answers a call with a file that was made for it. */
export const answerBytes = <Made extends Call>(
  made: Made,
  handle: (
    given: Given<Made>,
    asker: { readonly gone: AbortSignal; readonly request: Request },
  ) => Promise<SentFile>,
): Route => ({
  call: made,
  handle: async (given, response) => {
    const asker = { gone: goneOf(response), request: response.req };
    const { bytes, type, called } = await handle(given as Given<Made>, asker);
    const inSight = type === 'application/pdf';
    const file = `${fileNameOf(called.job)}-${called.name}`;
    response.set('content-disposition', `${inSight ? 'inline' : 'attachment'}; filename="${file}"`);
    response.type(type).send(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength));
  },
});

/** Lets no more through than it may. */
class Limited extends Transform {
  private left: number;
  private readonly most: number;
  constructor(most: number) {
    super();
    this.most = most;
    this.left = most;
  }
  override _transform(chunk: Buffer, _: string, next: (fault: Error | null, chunk?: Buffer) => void): void {
    this.left -= chunk.length;
    if (this.left >= 0) next(null, chunk);
    else next(tooLarge(this.most));
  }
}

/** A file that is sent, laid on the disk as it comes and taken away when it was dealt with. */
export const answerFile = <Made extends Call>(
  made: Made,
  { most, file }: { readonly most: number; readonly file: () => string },
  handle: (file: string) => Promise<AnswerOf<Made>>,
): Route => ({
  call: made,
  handle: async (_, response) => {
    const laid = file();
    try {
      await pipeline(response.req, new Limited(most), createWriteStream(laid, { mode: 0o600 }));
      return await handle(laid);
    } finally {
      rmSync(laid, { force: true });
    }
  },
});

function parse(schema: z.ZodType | undefined, raw: unknown): unknown {
  if (!schema) return undefined;
  const parsed = schema.safeParse(raw);
  if (parsed.success) return parsed.data;
  throw new Refused(422, shapeIssues(parsed.error, raw));
}

/** Mounts routes: parse once at the boundary, then the handler sees only checked values. */
export function mount(router: Router, routes: readonly Route[]): void {
  for (const { call, handle } of routes) {
    const { method, path, body, textBody, query, status } = call;
    router[method](path.replace(/\{(\w+)\}/g, ':$1'), async (request: Request, response: Response) => {
      const given = textBody
        ? typeof request.body === 'string'
          ? request.body
          : ''
        : parse(body, request.body);
      const params = request.params as Record<string, string>;
      const answered: unknown = await handle(
        { params, body: given, query: parse(query, request.query) },
        response,
      );
      if (!response.headersSent) response.status(status ?? 200).json(answered);
    });
  }
}
