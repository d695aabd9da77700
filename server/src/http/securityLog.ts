import type { RequestHandler } from 'express';
import { pino, type Logger } from 'pino';
import { permissionOf } from '../people/may.ts';

/** Answers that are always written down: turned away, from another page, by another name, too often. */
const ALWAYS = new Set([401, 403, 421, 429]);

/**
 * A log of who came in, who was turned away, and what was changed about doors: a line of JSON each, never a PIN, a token, a cookie or a body.
 *
 * @param path of its file; null: the standard output
 */
export const openSecurityLog = (path: string | null): Logger =>
  pino(
    {
      base: { log: 'security' },
      timestamp: pino.stdTimeFunctions.isoTime,
      formatters: { level: (level) => ({ level }) },
    },
    pino.destination({ ...(path === null ? { dest: 1 } : { dest: path, mkdir: true }), sync: true }),
  );

/** Writes down what concerns the doors, once it is answered. */
export const securityLog =
  (log: Logger): RequestHandler =>
  (request, response, next) => {
    // Whoever signs out is nobody afterwards.
    const { method, path } = request;
    const from = request.socket.remoteAddress;
    response.on('finish', () => {
      const { statusCode: status } = response;
      const what = permissionOf(method, path)?.log;
      if (what === undefined && !ALWAYS.has(status)) return;
      const person = request.session?.personId ?? response.locals.person;
      log[status >= 400 ? 'warn' : 'info']({ what, method, path: path.slice(0, 200), status, person, from });
    });
    next();
  };

/** Keeps who asked, for what ends the session it came by. */
export const rememberWho: RequestHandler = (request, response, next) => {
  response.locals.person = request.session.personId;
  next();
};
