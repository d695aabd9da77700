import { setTimeout } from 'node:timers/promises';

/** A meter remembers so long what nobody fetched, ms. */
const MEMORY = 10_000;

/**
 * When a simulated meter reads: by its own clock. What came due while this server was busy is read late, at its own moment, as from
 * a meter with a memory; nothing of a sweep is lost to a busy machine.
 *
 * @param begin ms since the epoch; `every` ms between two readings; it ends when the signal does
 * @example for await (const at of moments({ begin: Date.now(), every: 400, signal })) read(at)
 */
export async function* moments({
  begin,
  every,
  signal,
}: {
  begin: number;
  every: number;
  signal: AbortSignal;
}): AsyncGenerator<number> {
  for (let due = begin; !signal.aborted; due += every) {
    const late = Date.now() - due;
    if (late < 0) await setTimeout(-late, undefined, { signal }).catch(() => undefined);
    else if (late > MEMORY) due += Math.floor(late / every) * every;
    if (!signal.aborted) yield due;
  }
}
