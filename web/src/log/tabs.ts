/** News between the tabs of one device: of which job something was entered or delivered. */
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('cradle-jobs');
// Outside a browser a channel would keep a finished test alive.
(channel as { unref?: () => void } | null)?.unref?.();

const listeners = new Set<(jobId: string) => void>();
channel?.addEventListener('message', ({ data }: MessageEvent<string>) => listeners.forEach((hear) => hear(data)));

/** Tells the other tabs that something of a job has changed in the device's own store. */
export const tellTabs = (jobId: string): void => channel?.postMessage(jobId);

/** Hears what other tabs tell; gives back how to hear no more. */
export function onTabs(hear: (jobId: string) => void): () => void {
  listeners.add(hear);
  return () => void listeners.delete(hear);
}
