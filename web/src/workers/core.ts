import { proxy, releaseProxy, wrap } from 'comlink';
import type { CoreApi, OnProgress } from './coreApi.ts';

/** The core in a worker, lent to one question. */
export interface Lent {
  /** What may be asked. */
  api: CoreApi;
  /** Fails where the worker can't be started. */
  broken: Promise<never>;
  /** The question is answered: the next one may have it. */
  giveBack: () => void;
  /** The question is given up, in the middle of its work too. */
  end: () => void;
}

/** Workers that wait for a question. */
const idle: Lent[] = [];

/** A worker that does nothing else, or a new one. */
export const borrow = (): Lent => idle.pop() ?? (typeof Worker === 'undefined' ? onThisPage() : start());

function start(): Lent {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  const api = wrap<CoreApi>(worker);
  const broken = new Promise<never>((_, fail) => {
    worker.onerror = () => fail(new Error('The search could not be started on this device.'));
  });
  broken.catch(() => undefined);
  const lent: Lent = {
    api: api as unknown as CoreApi,
    broken,
    giveBack: () => void idle.push(lent),
    end: () => {
      api[releaseProxy]();
      worker.terminate();
    },
  };
  return lent;
}

/** Where there are no workers it is computed here, later in the turn. */
function onThisPage(): Lent {
  const api = new Proxy({} as CoreApi, {
    get:
      (_, name: keyof CoreApi) =>
      async (...asked: unknown[]) =>
        ((await import('./coreApi.ts')).coreApi[name] as (...asked: unknown[]) => unknown)(...asked),
  });
  return { api, broken: new Promise<never>(() => undefined), giveBack: () => undefined, end: () => undefined };
}

/** A callback that a worker may call. */
export const heard = (onProgress: OnProgress): OnProgress => proxy(onProgress);
