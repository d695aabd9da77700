import type { Bodies, Entry, EntryKind } from './entry.ts';
import { versionOf } from './log.ts';

/**
 * Writes entries of one device, one after the other, as it would while it is away: for rehearsals, the demo and tests.
 *
 * @param jobId the job
 * @param more person, device, and the minute of each entry, where others are wanted
 * @example logWriter('job')('note', { text: 'seen' }).id // 'job-1'
 */
export function logWriter(jobId: string, more: { by?: string; device?: string; start?: number } = {}) {
  const { by = 'ines', device = 'device', start = Date.UTC(2026, 0, 5, 8) } = more;
  let n = 0;
  return <K extends EntryKind>(kind: K, body: Bodies[K]): Extract<Entry, { kind: K }> => {
    n += 1;
    return {
      id: `${jobId}-${n}`,
      jobId,
      version: versionOf(kind),
      kind,
      body,
      by,
      device,
      n,
      at: new Date(start + n * 60_000).toISOString(),
      on: null,
    } as unknown as Extract<Entry, { kind: K }>;
  };
}
