import { ConnectionError, TimeoutError } from 'sequelize';

/** Deadlock, lock wait, changed since read, the same row made twice at once: the whole transaction may be tried again. */
export const RETRY = new Set([1213, 1205, 1020, 1062]);
/** Shutting down, connection killed or lost, too many of them, read-only, node not ready. */
const GONE = new Set([1053, 1040, 1047, 1152, 1158, 1159, 1160, 1161, 1290, 1927, 2006, 2013]);

interface FromDatabase {
  errno?: number;
  code?: string;
  fatal?: boolean;
}

/** Error number the database gave, where it gave one. */
export const errnoOf = (error: unknown): number | undefined =>
  (error as { original?: FromDatabase } | null)?.original?.errno;

/**
 * Is the database away, or too busy for now? Then the same request may do later; any other failure is a fault of our own
 * that waiting does not mend.
 *
 * @example isAway(new ConnectionError(new Error('refused'))) // true
 */
export function isAway(error: unknown): boolean {
  if (error instanceof ConnectionError || error instanceof TimeoutError) return true;
  const original = (error as { original?: FromDatabase } | null)?.original ?? (error as FromDatabase | null);
  if (!original) return false;
  const { errno, code, fatal } = original;
  return (
    (fatal === true && (errno !== undefined || code !== undefined)) ||
    (errno !== undefined && (RETRY.has(errno) || GONE.has(errno))) ||
    /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ER_GET_CONNECTION_TIMEOUT|ER_SOCKET|ER_CMD_CONNECTION_CLOSED)/.test(
      code ?? '',
    )
  );
}
