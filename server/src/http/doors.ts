import type { RequestHandler } from 'express';
import { Problem } from './problem.ts';

/** Always this machine. */
export const LOOPBACK: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]']);

/** A name or address as it stands before the port. @example nameIn('[fd00::2]:4173') // '[fd00::2]' */
export const nameIn = (host: string): string => host.toLowerCase().replace(/:\d+$/, '');

/**
 * Only under the shop's own names: a page of somebody else's that has its name point here gets nothing. What changes something comes from
 * a page of this server, or from no page at all.
 *
 * @param names under which the server is reached besides this machine's own
 */
export function ownDoors(names: () => readonly string[]): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    const name = nameIn(host);
    if (!LOOPBACK.has(name) && !names().includes(name))
      throw new Problem(421, 'Not this shop’s name', {
        detail: `This server does not go by “${name.slice(0, 80)}”. Its names are set where it is started: HOSTS=${name.slice(0, 80)}.`,
      });
    const { origin } = request.headers;
    const reads = request.method === 'GET' || request.method === 'HEAD';
    if (!reads && origin !== undefined && !sameHost(origin, host))
      throw new Problem(403, 'From another page', { detail: 'Only pages of this server change something here.' });
    next();
  };
}

function sameHost(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
}
