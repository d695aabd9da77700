import { minutesLeft } from '@iron-cradle/core';
import { useJob } from '../../log/useJob.ts';
import { useNow } from '../../ui/useNow.ts';

/** Waits that run, with what is left of them. */
export function Waits() {
  const { state } = useJob();
  const now = useNow(15_000);
  const running = state.waits.filter((w) => !w.ended);
  if (running.length === 0) return null;
  const first = running[0]!;
  const minutes = minutesLeft(first, now);
  return (
    <span className="hidden shrink-0 text-quiet min-[430px]:inline">
      {first.what},{' '}
      <span className="reading text-ink">{minutes === null ? 'running' : minutes > 0 ? `${minutes} min` : 'done'}</span>
      {minutes !== null && minutes > 0 ? ' left' : ''}
    </span>
  );
}
