import { dayChecks, dayItems, type DayCheck } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { useWords } from '../../../ui/Words.tsx';

/** Before everybody goes home: what the log knows stands there, what only a look can tell is tapped. */
export function Evening({ onDone }: { onDone: () => void }) {
  const { state, enter } = useJob();
  const words = useWords();
  const [checks, setChecks] = useState<DayCheck[]>([]);
  const items = dayItems(state);
  const asked = items.filter(({ id, outcome }) => outcome === null && dayChecks.includes(id as DayCheck));
  const left = asked.filter(({ id }) => !checks.includes(id as DayCheck));
  const bad = items.filter(({ outcome }) => outcome === 'bad');
  const toggle = (id: DayCheck) =>
    setChecks((had) => (had.includes(id) ? had.filter((one) => one !== id) : [...had, id]));
  return (
    <section aria-label="for the night" className="grid gap-3" data-evening={bad.length === 0 ? 'calm' : 'bad'}>
      <h3 className="border-b-2 border-ink pb-1 text-20">For the night</h3>
      <ul className="ruled">
        {items.map(({ id, text, outcome, next }) => {
          const is = asked.some((one) => one.id === id);
          const seen = checks.includes(id as DayCheck);
          const shown = outcome ?? (seen ? 'good' : 'unknown');
          return (
            <li key={id}>
              {is ? (
                <button
                  type="button"
                  className="flex min-h-14 w-full items-center gap-3 py-1 text-left"
                  aria-pressed={seen}
                  data-evening-check={id}
                  onClick={() => toggle(id as DayCheck)}
                >
                  <Shape outcome={shown} size={22} label={seen ? 'looked at' : 'not looked at yet'} />
                  {words(text)}
                </button>
              ) : (
                <p className="flex min-h-12 items-center gap-3 py-1">
                  <Shape outcome={shown} size={22} />
                  <span>
                    {words(text)}
                    {next && <span className="block text-quiet">{words(next)}</span>}
                  </span>
                </p>
              )}
            </li>
          );
        })}
      </ul>
      <Strap
        data-action="evening"
        onClick={() => void enter('dayEnded', { checks }).then((stands) => stands && onDone())}
      >
        {bad.length + left.length === 0
          ? 'All so: good night'
          : `Left so, ${bad.length + left.length} ${bad.length + left.length === 1 ? 'thing' : 'things'} against it`}
      </Strap>
    </section>
  );
}
