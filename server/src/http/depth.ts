import type { IncomingMessage, ServerResponse } from 'node:http';
import { InputError } from '@iron-cradle/core';

/** Nothing of ours is nested so deep; what is would be walked by every check, level by level. */
const MOST = 64;

/**
 * How deep lists and objects of a JSON text lie in one another, told without reading it; stops at the most that is borne.
 *
 * @param text UTF-8
 * @example deeper(Buffer.from('[[1]]'), 1) // true
 */
export function deeper(text: Uint8Array, most = MOST): boolean {
  const [quote, escape, open, close, begin, end] = [0x22, 0x5c, 0x5b, 0x5d, 0x7b, 0x7d];
  let level = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const byte = text[i];
    if (inText) {
      if (byte === escape) i += 1;
      else if (byte === quote) inText = false;
    } else if (byte === quote) inText = true;
    else if (byte === open || byte === begin) {
      level += 1;
      if (level > most) return true;
    } else if (byte === close || byte === end) level -= 1;
  }
  return false;
}

/** That a body is not nested without end. @throws InputError */
export function notTooDeep(body: Uint8Array): void {
  if (deeper(body))
    throw new InputError('body', `more than ${MOST} levels`, `lists and objects in one another at most ${MOST} deep`);
}

/** The same, before a body is read by Express. */
export const shallow = (_request: IncomingMessage, _response: ServerResponse, body: Buffer): void => notTooDeep(body);
