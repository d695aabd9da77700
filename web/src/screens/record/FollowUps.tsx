import { followUps, type JobState } from '@iron-cradle/core';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useEnter } from '../../log/useJob.ts';
import { Shape } from '../../look/Shapes.tsx';
import { save } from '../../ui/save.ts';
import { useWords } from '../../ui/Words.tsx';

interface FollowUpsProps {
  jobId: string;
  state: JobState;
  number: number;
  onDone: () => void;
}

/** What is looked at once more after the signature: its day, what was seen, and a file for the calendar. A recheck that weeps goes to the lead. */
export function FollowUps({ jobId, state, number, onDone }: FollowUpsProps) {
  const words = useWords();
  const { enter, problem } = useEnter(jobId);
  const [weeps, setWeeps] = useState(false);
  const list = followUps(state);
  if (list.length === 0) return null;
  const say = async (of: string, text: string) => {
    if (await enter('followUpDone', { of, text })) setTimeout(onDone, 600);
  };
  const calendar = async () => {
    // Fetched when it is asked for: few do.
    const { calendarOf } = await import('./calendar.ts');
    save(`job-${number}-follow-ups.ics`, calendarOf(state, number), 'text/calendar');
  };
  return (
    <section aria-label="follow-ups" className="no-print mx-auto max-w-[51.5rem] px-4 pb-4">
      <div className="flex items-center justify-between gap-3 border-b-2 border-ink pb-2">
        <h2 className="text-24">To be looked at once more</h2>
        <button type="button" className="btn" data-action="calendar" onClick={() => void calendar()}>
          For the calendar
        </button>
      </div>
      <ul className="ruled border-b border-rule">
        {list.map(({ id, text, due, done }) => (
          <li
            key={id}
            className="grid items-center gap-3 py-3 mid:grid-cols-[1fr_auto]"
            data-follow-up={id}
            data-done={done}
          >
            <p className="flex items-center gap-3">
              <Shape outcome={done ? 'good' : 'unknown'} size={24} />
              <span className="leading-tight">
                <span className="narrow block text-20">{words(text)}</span>
                {due && <span className="text-quiet">{format(parseISO(due), 'd MMMM yyyy')}</span>}
              </span>
            </p>
            {!done && (
              <div className="grid grid-cols-2 gap-3">
                <button
                  type="button"
                  className="btn"
                  data-follow="done"
                  onClick={() => void say(id, id === 'cold' ? 'cold and dry' : 'done')}
                >
                  {id === 'cold' ? 'Cold, and all dry' : 'Done'}
                </button>
                {id === 'cold' && (
                  <button type="button" className="btn" data-follow="weeps" onClick={() => setWeeps(true)}>
                    One weeps
                  </button>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
      {weeps && (
        <p role="alert" className="pt-3 font-semibold text-halt">
          Do not drive it. Write down which joint as an addendum; the lead reopens the job, and it is made and proved
          again.
        </p>
      )}
      {problem && (
        <p role="alert" className="pt-3 font-semibold text-halt">
          {problem}
        </p>
      )}
    </section>
  );
}
