import { minutesLeft } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { CallRow } from './CallRow.tsx';
import { useNow } from '../../../ui/useNow.ts';

/** A soak runs by itself while other work goes on; the log keeps its clock. */
export function SoakRow({ soak, why }: { soak: { what: string; minutes: number }; why: string }) {
  const { state, enter } = useJob();
  const running = state.waits.find((w) => w.what === soak.what);
  const now = useNow(10_000);
  const left = running ? (minutesLeft({ ...running, minutes: soak.minutes }, now) ?? 0) : 0;
  return (
    <CallRow
      name="Soak now"
      text={
        !running
          ? `${soak.what}, ${soak.minutes} min, while you do other things`
          : left > 0 && !running.ended
            ? `${soak.what}: ${left} min of ${soak.minutes} left`
            : `${soak.what}: soaked`
      }
      why={why}
    >
      {!running && !state.signed && (
        <button
          type="button"
          className="btn min-w-20 shrink-0"
          onClick={() => void enter('wait', { what: soak.what, state: 'start', minutes: soak.minutes })}
        >
          Start
        </button>
      )}
    </CallRow>
  );
}
