import { ConnectionError, TimeoutError } from 'sequelize';

/** Deadlock, lock wait, changed since read, the same row made twice at once. */
const AGAIN = new Set([1213, 1205, 1020, 1062]);
/** Shutting down, connection killed or lost, too many of them, read-only, node not ready or cut off at a commit. */
const GONE = new Set([1053, 1040, 1047, 1152, 1158, 1159, 1160, 1161, 1180, 1290, 1927, 2006, 2013]);

interface FromDatabase {
  errno?: number;
  code?: string;
  fatal?: boolean;
}

/** What the database itself said of a failure. */
const saidOf = (error: unknown): FromDatabase =>
  (error as { original?: FromDatabase } | null)?.original ?? (error as FromDatabase | null) ?? {};

/** Error number the database gave, where it gave one. */
export const errnoOf = (error: unknown): number => saidOf(error).errno ?? 0;

/** Did the database undo a transaction and ask for it again? @example mayGoAgain({ original: { errno: 1213 } }) // true */
export const mayGoAgain = (error: unknown): boolean => AGAIN.has(errnoOf(error));

/** Is the database away, or the connection to it? @example isLost(new ConnectionError(new Error('refused'))) // true */
export function isLost(error: unknown): boolean {
  if (error instanceof ConnectionError || error instanceof TimeoutError) return true;
  const { errno, code, fatal } = saidOf(error);
  return (
    (fatal === true && (errno !== undefined || code !== undefined)) ||
    GONE.has(errnoOf(error)) ||
    /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ER_GET_CONNECTION_TIMEOUT|ER_SOCKET|ER_CMD_CONNECTION_CLOSED)/.test(
      code ?? '',
    )
  );
}

/**
 * Is the database away, or too busy for now? Then the same request may do later; any other failure is a fault of our own
 * that waiting does not mend.
 *
 * @example isAway(new ConnectionError(new Error('refused'))) // true
 */
export const isAway = (error: unknown): boolean => isLost(error) || mayGoAgain(error);
