/**
 * Gives a page clocks that a test can turn, before anything of it runs: `turnClock` for what looks how soon a finger comes, `turnWatch` for
 * whoever watches how long something takes. It stands alone, since a page is given its text. Nothing of a server is turned: a simulated
 * meter that runs quicker than its machine loses readings.
 */
export function turnable(): void {
  const RealDate = Date;
  const passed = performance.now.bind(performance);
  let [finger, watch] = [0, 0];
  function Turned(this: unknown, ...parts: []) {
    if (!new.target) return new RealDate(Turned.now()).toString();
    return parts.length > 0 ? new RealDate(...parts) : new RealDate(Turned.now());
  }
  Turned.now = () => RealDate.now() + watch;
  Object.setPrototypeOf(Turned, RealDate);
  Turned.prototype = RealDate.prototype;
  performance.now = () => passed() + finger;
  Object.assign(globalThis, {
    Date: Turned,
    turnClock: (ms: number) => void (finger += ms),
    turnWatch: (ms: number) => void (watch += ms),
  });
}
