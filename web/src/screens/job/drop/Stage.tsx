import { afterStop, descended, poseInWords, type JobState } from '@iron-cradle/core';
import { useState } from 'react';
import { useUnits } from '../../../app/units.ts';
import { Hang } from '../../../drawings/hang/Hang.tsx';
import { Slide } from '../../../ui/Slide.tsx';
import type { Descent } from './useDescent.ts';

interface StageProps {
  descent: Descent;
  width: number;
  height: number;
  onLine: (key: string) => void;
}

const FOOT = 56;

/** The hang as it is now, and, drawn along the plan, as it will be at each stop if the figures are as likely. */
export function Stage({ descent, width, height, onLine }: StageProps) {
  const { state, stop, ghost } = descent;
  const walk = descent.ahead?.walk ?? [];
  const { newest } = state;
  const [at, setAt] = useState({ entry: newest, step: 0 });
  // A new entry brings it back to where the tank hangs.
  const step = at.entry === newest ? Math.min(at.step, walk.length - 1) : 0;
  const shown = walk[step];
  const later = step > 0 && shown ? walk.slice(0, step).reduce(afterStop<JobState>, state) : null;
  const ends = state.vehicle.ends;
  const units = useUnits();
  if (descended(state) || walk.length < 2)
    return <Hang state={state} stop={stop} ghost={ghost} width={width} height={height} onLine={onLine} units={units} />;
  return (
    <div className="flex h-full flex-col">
      <div className="min-h-0 flex-1">
        <Hang
          state={later ?? state}
          stop={later ? shown! : stop}
          ghost={later ? null : ghost}
          width={width}
          height={Math.max(80, height - FOOT)}
          onLine={onLine}
          units={units}
        />
      </div>
      <div className="flex h-14 shrink-0 items-center gap-4 border-t border-rule px-6">
        <span className="w-48 shrink-0 text-quiet">
          {later ? `if all is as likely: ${poseInWords(shown!.pose, ends, units)}` : 'now'}
        </span>
        <Slide
          label="along the plan"
          said={later ? poseInWords(shown!.pose, ends, units) : 'now'}
          min={0}
          max={walk.length - 1}
          step={1}
          value={step}
          onSlide={(to) => setAt({ entry: newest, step: to })}
        />
      </div>
    </div>
  );
}
