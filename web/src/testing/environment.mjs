import { TestEnvironment } from 'jest-environment-jsdom';

/** A page in memory, with what browsers have and it lacks. */
export default class PageEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { structuredClone, fetch, Response, Request, Headers, TextEncoder, TextDecoder });
    this.global.matchMedia ??= () => ({ matches: false, addEventListener: () => undefined });
    this.global.ResizeObserver ??= class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    this.global.PointerEvent ??= class extends this.global.MouseEvent {
      constructor(kind, init = {}) {
        super(kind, init);
        this.pointerType = init.pointerType ?? '';
      }
    };
    // A finger that waits waits by this clock: tests let time pass by turning it.
    const { performance } = this.global;
    const passed = performance.now.bind(performance);
    let ahead = 0;
    let stood = null;
    performance.now = () => (stood ?? passed()) + ahead;
    this.global.turnClock = (ms) => void (ahead += ms);
    // What a slow machine does in a moment then still takes none.
    this.global.stopClock = () => void (stood = passed());
    this.global.Element.prototype.scrollIntoView ??= () => undefined;
    this.global.Element.prototype.hasPointerCapture ??= () => false;
  }
}
