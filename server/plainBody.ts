import type { IncomingMessage, ServerResponse } from 'node:http';
import type { RequestHandler } from 'express';
import { Refused } from './problems.ts';

/** No document is nested a third as deep. */
const MOST_NESTED = 60;

const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN, CLOSE] = [...'"\\[]{}'].map((sign) =>
  sign.charCodeAt(0),
);

/** Are lists and objects in a text of JSON nested deeper than this? Read byte by byte: nothing is parsed. */
export function isNestedDeeper(text: Uint8Array, most: number): boolean {
  let depth = 0;
  let inText = false;
  for (let i = 0; i < text.length; i += 1) {
    const sign = text[i];
    if (inText) {
      if (sign === BACKSLASH) i += 1;
      else if (sign === QUOTE) inText = false;
    } else if (sign === QUOTE) inText = true;
    else if (sign === OPEN_LIST || sign === OPEN) {
      depth += 1;
      if (depth > most) return true;
    } else if (sign === CLOSE_LIST || sign === CLOSE) depth -= 1;
  }
  return false;
}

const issue = { path: '', severity: 'wrong' } as const;

/** A sign that stands for nothing, and that no store keeps. */
const NUL = /\0|\\u0000/;

/** Looks at a body before it is parsed. @throws Refused 400 */
export function lookAtBody(_: IncomingMessage, __: ServerResponse, body: Buffer): void {
  if (isNestedDeeper(body, MOST_NESTED))
    throw new Refused(400, [{ ...issue, code: 'body-unreadable', given: 'it is nested too deeply' }]);
  if (NUL.test(body.toString('latin1')))
    throw new Refused(400, [
      { ...issue, code: 'body-unreadable', given: 'it has a sign in it that is none' },
    ]);
}

/** Refuses addresses with a sign in them that is none. */
export const plainAddress: RequestHandler = (request, _response, next) => {
  if (/%00|\0/.test(request.originalUrl))
    next(new Refused(400, [{ ...issue, code: 'address-bad', given: '%00' }]));
  else next();
};
