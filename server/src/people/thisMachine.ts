import type { Request } from 'express';
import { LOOPBACK, nameIn } from '../http/doors.ts';

/** Did it come from this very machine, and by its own name? What a proxy on it hands on comes by another. */
export const isThisMachine = (request: Pick<Request, 'socket' | 'headers'>): boolean =>
  /^(::ffff:)?127\.|^::1$/.test(request.socket.remoteAddress ?? '') &&
  LOOPBACK.has(nameIn(request.headers.host ?? '')) &&
  request.headers['x-forwarded-for'] === undefined;
