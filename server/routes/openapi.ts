import { z } from 'zod';
import { jobSchema } from '../../core/job/index.ts';
import { runEventSchema, runSchema } from '../../core/run/index.ts';
import { equipmentSchema } from '../../core/shop/index.ts';
import type { Call } from '../../core/wire/index.ts';

const problemSchema = {
  type: 'object',
  description: 'RFC 9457 problem document',
  required: ['type', 'title', 'status', 'detail', 'issues'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    issues: {
      type: 'array',
      items: {
        type: 'object',
        required: ['code', 'path', 'severity', 'message'],
        properties: {
          code: { type: 'string' },
          path: { type: 'string', description: 'Dotted path of the field, parts by their id' },
          severity: { enum: ['needed', 'wrong', 'blocked', 'query', 'note'] },
          given: { type: 'string' },
          allowed: { type: 'string' },
          detail: {
            type: 'object',
            description:
              'The figures of the message by name: words, numbers, angles in degrees, lengths as { mm, units }',
          },
          message: { type: 'string', description: 'What is wrong and what would be right' },
        },
      },
    },
  },
} as const;

/** A job file or a backup, sent as a file. */
const FILE = { type: 'object', description: 'A file of its own format' } as const;

const REFUSALS: Readonly<Record<number, string>> = {
  400: 'The body is not readable JSON',
  401: 'This device is not known here yet',
  403: 'That is not the code',
  404: 'No such thing',
  409: 'In conflict with what is stored; nothing stored was changed',
  413: 'The body is too large',
  422: 'Something given cannot be used; each issue names its field',
  429: 'Too many wrong codes: wait a while',
  503: 'So many longer questions wait that this one would not be answered in time',
};

/** Documents that come up again and again, described once. */
const NAMED: readonly (readonly [string, z.ZodType])[] = [
  ['Job', jobSchema],
  ['Equipment', equipmentSchema],
  ['Run', runSchema],
  ['RunEvent', runEventSchema],
];

const components = Object.fromEntries(
  NAMED.map(([name, schema]) => [name, z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' })]),
);

function jsonSchema(schema: z.ZodType): unknown {
  return z.toJSONSchema(schema, {
    io: 'input',
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema: made }) => {
      const name = NAMED.find(([, named]) => (zodSchema as unknown) === named)?.[0];
      if (name !== undefined) {
        for (const key of Object.keys(made)) delete (made as Record<string, unknown>)[key];
        return void Object.assign(made, { $ref: `#/components/schemas/${name}` });
      }
      const meta = z.globalRegistry.get(zodSchema as unknown as z.ZodType) as
        { override?: Record<string, unknown> } | undefined;
      if (!meta?.override) return;
      for (const key of Object.keys(made)) delete (made as Record<string, unknown>)[key];
      const { $schema: _, ...rest } = meta.override;
      Object.assign(made, rest);
    },
  });
}

function operation(made: Call): object {
  const inPath = [...made.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const queries = made.query
    ? Object.entries(
        (jsonSchema(made.query) as { properties?: Record<string, unknown> }).properties ?? {},
      ).map(([name, schema]) => ({ name, in: 'query', schema }))
    : [];
  const type = made.textBody ? 'text/plain' : 'application/json';
  const refused = [...(made.body ? [400, 422] : []), ...(made.refusals ?? [])];
  return {
    summary: made.summary,
    ...(inPath.length + queries.length > 0 ? { parameters: [...inPath, ...queries] } : {}),
    ...(made.body
      ? { requestBody: { required: true, content: { [type]: { schema: jsonSchema(made.body) } } } }
      : {}),
    responses: {
      [made.status ?? 200]: {
        description: 'Done',
        content: { 'application/json': { schema: made.answers ? jsonSchema(made.answers) : FILE } },
      },
      ...Object.fromEntries(
        [...new Set(refused)].map((status) => [
          status,
          {
            description: REFUSALS[status],
            content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
          },
        ]),
      ),
    },
  };
}

/** The API's description, from the same calls and schemas that serve it and that the page asks by. */
export function describeApi(calls: readonly Call[]): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const made of calls) {
    (paths[`/api${made.path}`] ??= {})[made.method] = operation(made);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Vuelta',
      version: '1',
      description: 'Plans gear-cutting jobs and keeps the count. No browser needed: POST /api/plan.',
    },
    paths,
    components: { schemas: { Problem: problemSchema, ...components } },
  };
}
