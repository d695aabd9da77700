import { descended, GOAL, lengthText, partWay, travelWords, WORKING_HEIGHT } from '@iron-cradle/core';
import { useMemo } from 'react';
import { useMainUnit } from '../../app/units.ts';
import { useJob } from '../../log/useJob.ts';
import { Choice } from '../../ui/Choice.tsx';
import { useWords } from '../../ui/Words.tsx';

/** How far down the tank is to go: all the way out, or part-way with its top where two hands work on it. */
export function HowFar() {
  const { state, answer } = useJob();
  const units = useMainUnit();
  const words = useWords();
  const travel = travelWords(state.vehicle);
  const cannotPartWay = useMemo(() => partWay(state).cannot, [state]);
  if (descended(state) || state.signed) return null;
  const deep = Math.max(state.pose.f, state.pose.r) >= WORKING_HEIGHT;
  const cannot = deep ? `it is ${travel.further} already` : cannotPartWay;
  return (
    <>
      <Choice
        label={`How far ${travel.off}`}
        value={state.goal === null ? 'out' : 'partway'}
        options={[
          { value: 'out', label: 'All the way out' },
          {
            value: 'partway',
            label: `Part-way, top at ${lengthText(WORKING_HEIGHT, units)}`,
            disabled: cannot !== null && state.goal === null,
          },
        ]}
        onChoose={(far) => void answer<number | 'out'>(GOAL, far === 'out' ? 'out' : WORKING_HEIGHT)}
      />
      <p className="min-h-6 text-quiet">
        {cannot !== null && state.goal === null
          ? `Not part-way: ${words(cannot)}.`
          : state.goal === null
            ? ''
            : `Only what holds it there comes off. It stays on the jack all the time.`}
      </p>
    </>
  );
}
