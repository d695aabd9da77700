type Load = () => Promise<unknown>;

/**
 * Fetches parts of the application while nothing else is to do, one after the other, so that they are here when the network
 * is not. What can't be had now is fetched when it is wanted.
 */
export function whenIdle(loads: readonly Load[]): void {
  const [first, ...rest] = loads;
  if (!first) return;
  const next = () => whenIdle(rest);
  const now = () => void first().then(next, next);
  if (typeof requestIdleCallback === 'function') requestIdleCallback(now, { timeout: 2_000 });
  else setTimeout(now, 200);
}
