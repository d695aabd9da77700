import { useEffect } from 'react';
import { lineState } from '../log/line.ts';

/** Between the tabs of a device. */
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('cradle-version');
// Outside a browser a channel would keep a finished test alive.
(channel as { unref?: () => void } | null)?.unref?.();
/** How often it is asked whether there is a newer version, ms; and how long other tabs have to say that they are in a job. */
const ASKED = 30 * 60_000;
const ANSWERED = 400;
/** A first one that could not be laid by, for one file that did not come, is begun again after this, ms. */
const AGAIN = 15_000;

let registration: ServiceWorkerRegistration | null = null;
let asked = false;

const inAJob = (): boolean => location.pathname.startsWith('/jobs/');
channel?.addEventListener('message', ({ data }) => {
  if (data === 'may it change?' && inAJob()) channel.postMessage('not now');
});

/**
 * Registers what keeps the application on the device. A newer version that has come is laid by until nobody is in a job on it.
 *
 * A secure context is needed; without one the application works all the same, but not after a reload while the server is away.
 */
export async function keepApplication(
  workers: ServiceWorkerContainer | undefined = navigator.serviceWorker,
): Promise<void> {
  if (!workers) return;
  await layBy(workers);
  setInterval(() => void registration?.update().catch(() => undefined), ASKED);
  workers.addEventListener('controllerchange', () => {
    // Only where it was asked for: the first one to keep this page changes nothing in it.
    if (asked) location.reload();
  });
}

/** Until one is there: without one a later reload while the server is away shows nothing. */
async function layBy(workers: ServiceWorkerContainer): Promise<void> {
  const again = () => void setTimeout(() => void layBy(workers), AGAIN);
  registration = await workers.register('/sw.js').catch(() => null);
  if (!registration) return again();
  const { installing, active } = registration;
  installing?.addEventListener('statechange', () => installing.state === 'redundant' && !active && again());
}

/** Do other tabs of this device let the application change? */
const othersAgree = (): Promise<boolean> =>
  new Promise((resolve) => {
    const hear = ({ data }: MessageEvent) => data === 'not now' && resolve(false);
    channel?.addEventListener('message', hear);
    channel?.postMessage('may it change?');
    setTimeout(() => {
      channel?.removeEventListener('message', hear);
      resolve(true);
    }, ANSWERED);
  });

/** Between jobs: a version that was laid by is taken over, once everything entered has gone out and no other tab is in a job. */
export async function takeOver(): Promise<void> {
  const waiting = registration?.waiting;
  if (!waiting || asked || lineState().waiting > 0 || !(await othersAgree())) return;
  asked = true;
  waiting.postMessage({ type: 'SKIP_WAITING' });
}

/** On the page between jobs. */
export function useTakeOver(): void {
  useEffect(() => {
    const look = () => void takeOver();
    look();
    const now = setInterval(look, 10_000);
    return () => clearInterval(now);
  }, []);
}

/** For tests: as if the page had just been opened. */
export const forgetVersion = (had: ServiceWorkerRegistration | null): void => {
  registration = had;
  asked = false;
};
