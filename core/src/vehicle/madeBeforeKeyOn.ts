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

/**
 * Is it an open hole into vapour or fuel once it is parted? Every vent, breather and neck end is, wet or not: it is capped.
 * Common practice, no source.
 *
 * @example isOpening(vent) // true
 */
export const isOpening = (line: Pick<Connection, 'kind' | 'wetWhenOpen'>): boolean =>
  line.wetWhenOpen || ['feed', 'return', 'vent', 'evap', 'filler', 'breather', 'heater'].includes(line.kind);
