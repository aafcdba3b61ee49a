import type { z } from 'zod';
import {
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { migrateJob, OLDEST_JOB_VERSION, type RawJob } from './migrate.ts';
import { JOB_FORMAT, JOB_VERSION, jobSchema, type Job } from './schema.ts';

/**
 * Schema problems as issues: parts are named by their id, not by their place in the list.
 * @param raw what was checked, to find the ids and what was given
 */
export function shapeIssues(error: z.ZodError, raw: unknown): Issue[] {
  return error.issues.map((problem) => {
    let here: unknown = raw;
    const names: string[] = [];
    for (const key of problem.path) {
      const below: unknown = (here as Record<PropertyKey, unknown> | null | undefined)?.[key];
      const id =
        typeof key === 'number' && names.at(-1) === 'parts'
          ? (below as { id?: unknown } | undefined)?.id
          : undefined;
      names.push(typeof id === 'string' ? id : String(key));
      here = below;
    }
    const given = here === undefined ? undefined : (JSON.stringify(here) ?? '').slice(0, 80);
    const where = names.length > 0 ? `At ${names.join('.')}: ` : '';
    return {
      code: 'shape',
      path: names.join('.'),
      severity: 'wrong',
      ...(given === undefined ? {} : { given }),
      detail: { what: `${where}${problem.message}` },
    };
  });
}

const issue = <Code extends IssueCode>(
  code: Code,
  more: Partial<Pick<Issue, 'path' | 'given' | 'allowed'>>,
  ...figures: FiguresOf<Code>
): Issue => issueOf(code, { path: '', severity: 'wrong', ...more }, ...figures);

/**
 * A job document from parsed JSON: checks the mark and version, brings old versions up to today's, checks the
 * shape. Issues: not-a-job, later-version, shape
 */
export function readJob(raw: unknown): Result<Job> {
  if (typeof raw !== 'object' || raw === null || (raw as RawJob)['format'] !== JOB_FORMAT)
    return fail(issue('not-a-job', {}));
  const { version } = raw as RawJob;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < OLDEST_JOB_VERSION) {
    return fail(
      issue(
        'shape',
        { path: 'version', given: String(version) },
        { what: `“${String(version)}” is not a version of a job file.` },
      ),
    );
  }
  if (version > JOB_VERSION)
    return fail(
      issue('later-version', { path: 'version', given: String(version), allowed: String(JOB_VERSION) }),
    );
  const migrated = migrateJob(raw as RawJob);
  const parsed = jobSchema.safeParse(migrated);
  return parsed.success ? ok(parsed.data) : fail(...shapeIssues(parsed.error, migrated));
}

/**
 * How a text that is no JSON ends: inside a string, list or object that it opened, or with a quotation mark
 * that never closed.
 */
function howItEnds(text: string): 'whole' | 'cut' | 'in-a-quote' {
  let depth = 0;
  let inString = false;
  for (let i = 0; i < text.length; i += 1) {
    const sign = text[i];
    if (inString) {
      if (sign === '\\') i += 1;
      else if (sign === '"') inString = false;
    } else if (sign === '"') inString = true;
    else if (sign === '{' || sign === '[') depth += 1;
    else if (sign === '}' || sign === ']') depth -= 1;
  }
  // a whole file closes its braces, also those that a lost mark made part of a text
  if (inString && /[}\]]$/.test(text)) return 'in-a-quote';
  return inString || depth > 0 ? 'cut' : 'whole';
}

/** What a reader of JSON says, its place told by line and column: a person counts no letters. */
const inLines = (message: string, text: string): string =>
  message.replace(/ in JSON at position (\d+).*$/, (_, position: string) => {
    const before = text.slice(0, Number(position)).split('\n');
    return `, line ${before.length}, column ${before.at(-1)!.length + 1}`;
  });

/**
 * A job from the text of a job file.
 * Issues: not-json, cut-short, quote-open, and those of readJob
 */
export function readJobFile(text: string): Result<Job> {
  const clean = text.replace(/^\uFEFF/, '').trim();
  let raw: unknown;
  try {
    raw = JSON.parse(clean);
  } catch (problem) {
    const end = clean.startsWith('{') ? howItEnds(clean) : 'whole';
    if (end !== 'whole') return fail(issue(end === 'cut' ? 'cut-short' : 'quote-open', {}));
    const said = problem instanceof Error ? inLines(problem.message, clean) : 'unreadable';
    const where = clean === '' ? 'the file is empty' : said;
    return fail(issue('not-json', { allowed: 'Choose a file that Vuelta exported.' }, { where }));
  }
  return readJob(raw);
}

/** The text of a job file: indented, so that a person can read it and a tool can compare two. */
export function jobFileText(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}
