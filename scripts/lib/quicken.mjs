/**
 * A clock that tests can turn: from here on time runs `rate` times as fast, for a page or for a server, counted from `begun` so that both
 * read the same. It stands alone, since a page is given its text.
 *
 * @param rate 1 leaves time as it is
 * @param begun ms since the epoch, by the clock of the machine
 */
export function quicken(rate, begun) {
  const RealDate = Date;
  const [later, again] = [setTimeout, setInterval];
  const now = () => begun + (RealDate.now() - begun) * rate;
  function Turned(...parts) {
    if (!new.target) return new RealDate(now()).toString();
    return parts.length > 0 ? new RealDate(...parts) : new RealDate(now());
  }
  Object.setPrototypeOf(Turned, RealDate);
  Turned.prototype = RealDate.prototype;
  Turned.now = () => Math.floor(now());
  globalThis.Date = Turned;
  globalThis.setTimeout = (work, ms, ...more) => later(work, (ms ?? 0) / rate, ...more);
  globalThis.setInterval = (work, ms, ...more) => again(work, (ms ?? 0) / rate, ...more);
}

/** Gives a page `turnClock(ms)`: lets that much pass at once for whatever looks how soon a finger comes. */
export function turnable() {
  const passed = performance.now.bind(performance);
  let ahead = 0;
  performance.now = () => passed() + ahead;
  globalThis.turnClock = (ms) => void (ahead += ms);
}
