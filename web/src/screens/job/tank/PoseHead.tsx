import {
  deepest,
  handUnitNear,
  isLevel,
  lengthIn,
  tapeAt,
  travelWords,
  type JobState,
  type Pose,
} from '@iron-cradle/core';
import { useState, type ReactNode } from 'react';
import { useUnits } from '../../../app/units.ts';
import { TapeSheet } from './TapeSheet.tsx';

interface PoseHeadProps {
  state: JobState;
  pose: Pose;
  /** What is said over the height. */
  above?: ReactNode;
  /** Keys beside it. */
  keys?: ReactNode;
  children?: ReactNode;
}

/** Where the tank hangs: one height, or one for each end, in the person’s units, the hand’s, and as a tape reads it. */
export function PoseHead({ state, pose, above, keys, children }: PoseHeadProps) {
  const [reading, setReading] = useState(false);
  const units = useUnits();
  const { ends } = state.vehicle;
  const travel = travelWords(state.vehicle);
  const way = deepest(pose) > 0 ? travel.beside : '';
  const hand = isLevel(pose) && pose.f > 0 ? handUnitNear(pose.f) : null;
  const beside = isLevel(pose) ? lengthIn(pose.f, units).beside : null;
  return (
    <div>
      <p className="flex flex-wrap items-center justify-between gap-x-3 text-quiet">
        <span>{above}</span>
        <span>{[beside, hand].filter((word) => word !== null && word !== '').join(', ')}</span>
      </p>
      <div className="flex items-center justify-between gap-3">
        <div className="min-w-0">
          <Height pose={pose} ends={ends} way={way} />
          {travel.off === 'down' && (
            <button type="button" className="link min-h-9 text-16" data-action="tape" onClick={() => setReading(true)}>
              {floorWords(state, pose, units)}
            </button>
          )}
        </div>
        {keys && <div className="flex shrink-0 gap-3">{keys}</div>}
      </div>
      {children}
      <TapeSheet open={reading} onClose={() => setReading(false)} />
    </div>
  );
}

/** “floor 612 mm”, or one figure for each end. */
function floorWords(state: JobState, pose: Pose, units: Parameters<typeof lengthIn>[1]): string {
  const { f, r } = tapeAt(state, pose);
  const [first, second] = state.vehicle.ends;
  const one = (mm: number) => lengthIn(mm, units).figure;
  const { unit } = lengthIn(0, units);
  if (f === null && r === null) return 'read the tape';
  if (f !== null && (f === r || r === null)) return `floor ${r === null ? `${first} ` : ''}${one(f)} ${unit}`;
  if (f === null) return `floor ${second} ${one(r!)} ${unit}`;
  return `floor ${first} ${one(f)}, ${second} ${one(r!)} ${unit}`;
}

function Height({ pose, ends, way }: { pose: Pose; ends: readonly [string, string]; way: string }) {
  const units = useUnits();
  const unit = `${lengthIn(0, units).unit} ${way}`.trim();
  if (isLevel(pose))
    return (
      <h1
        className="reading whitespace-nowrap text-[min(4rem,76px)] font-semibold leading-none [font-stretch:100%] [word-spacing:-0.3em]"
        data-height={pose.f}
      >
        {lengthIn(pose.f, units).figure}
        <span className="narrow pl-3 text-24 [word-spacing:normal]">{unit}</span>
      </h1>
    );
  return (
    <h1 className="flex gap-5 leading-none" data-height={`${pose.f}/${pose.r}`}>
      {([pose.f, pose.r] as const).map((mm, i) => (
        <span key={ends[i]} className="grid">
          <span className="text-16 font-normal text-quiet">{ends[i]}</span>
          <span className="reading text-[min(3rem,60px)] font-semibold [font-stretch:100%] [word-spacing:-0.3em]">
            {lengthIn(mm, units).figure}
          </span>
        </span>
      ))}
      <span className="narrow self-end text-24">{unit}</span>
    </h1>
  );
}
