import type { Connection } from './types.ts';

/** What carries fuel or vapour, the pump's wire and the ground. Common practice, no source. */
const live: readonly Connection['kind'][] = ['feed', 'return', 'heater', 'vent', 'evap', 'plug', 'ground'];

/**
 * Must this joint be made before the key is turned? Everything live wherever it sits, since the pump feeds an open line
 * as well; and every joint on top, since that is what the test stop looks at.
 *
 * @example madeBeforeKeyOn(feed) // true
 */
export const madeBeforeKeyOn = (line: Pick<Connection, 'kind' | 'side'>): boolean =>
  line.side === 'top' || live.includes(line.kind);
