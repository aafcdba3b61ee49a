import { issueOf, type FiguresOf, type Issue, type IssueCode } from '../core/findings/index.ts';
import { sayIssue } from '../core/messages/index.ts';
import type { Problem } from '../core/wire/index.ts';

/** Something a request asked for that is refused, with every reason. Becomes an RFC 9457 problem document. */
export class Refused extends Error {
  readonly status: number;
  readonly issues: readonly Issue[];
  readonly extra: Readonly<Record<string, unknown>>;
  constructor(status: number, issues: readonly Issue[], extra: Readonly<Record<string, unknown>> = {}) {
    super(issues.map(sayIssue).join(' '));
    this.status = status;
    this.issues = issues;
    this.extra = extra;
  }
}

/** Refused for one reason. @param given what it was refused for, as it came */
export const refuse = <Code extends IssueCode>(
  status: number,
  code: Code,
  given: string,
  ...figures: FiguresOf<Code>
): Refused => new Refused(status, [issueOf(code, { path: '', severity: 'wrong', given }, ...figures)]);

export function notFound(what: string, id: string): Refused {
  return new Refused(404, [{ code: 'not-found', path: '', severity: 'wrong', given: id, detail: { what } }]);
}

/** A limit as it is said: `2 MB`. */
const sizeText = (bytes: number | undefined): string =>
  bytes === undefined ? 'what is taken' : `${Math.round(bytes / 1024 / 1024)} MB`;

/** More was sent than is taken. @param most bytes */
export const tooLarge = (most: number | undefined): Refused =>
  new Refused(413, [
    {
      code: 'too-large',
      path: '',
      severity: 'wrong',
      allowed: sizeText(most),
      detail: { what: 'What was sent' },
    },
  ]);

/** Something that rests in the store and cannot be read. @param what how a sentence about it begins */
export const unreadable = (what: string, why: string): Issue => ({
  code: 'stored-unreadable',
  path: '',
  severity: 'wrong',
  detail: { what, why },
});

/** Why something that rests could not be read, in a few words. */
export function whyUnread(error: unknown): string {
  if (error instanceof SyntaxError) return 'it is damaged';
  const version = (error as { issues?: readonly { path?: readonly PropertyKey[] }[] }).issues?.some(
    ({ path }) => path?.[0] === 'version',
  );
  return version ? 'it is of a later version' : 'it is damaged';
}

const TITLES: Readonly<Record<number, string>> = {
  400: 'The request cannot be read',
  401: 'This device is not let in yet',
  403: 'Not allowed',
  404: 'Not found',
  409: 'In conflict with what is stored',
  413: 'Too large',
  415: 'Not sent as JSON',
  422: 'Something given cannot be used',
  429: 'Too many tries',
  503: 'Too busy just now',
  507: 'No room to store it',
  500: 'A fault in Vuelta',
};

export function problemOf({ status, issues, message, extra }: Refused): Problem {
  return {
    type: `urn:vuelta:problem:${issues[0]?.code ?? 'unknown'}`,
    title: TITLES[status] ?? 'Refused',
    status,
    detail: message,
    issues: issues.map((issue) => ({ ...issue, message: sayIssue(issue) })),
    ...extra,
  };
}
