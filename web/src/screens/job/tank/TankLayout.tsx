import { chords, marksAhead, planDescent, stationsDone, type StationId } from '@iron-cradle/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Well } from '../../../drawings/well/Well.tsx';
import { Wire } from '../../../drawings/wire/Wire.tsx';
import { useJob } from '../../../log/useJob.ts';
import { useSize } from '../../../ui/useSize.ts';
import { TagSheet } from '../TagSheet.tsx';
import { TakeBack } from '../TakeBack.tsx';
import { useTagNumber } from './useTagNumber.ts';

interface TankLayoutProps {
  station: StationId;
  band?: ReactNode;
  /** The drawing in the middle of wide screens. */
  stage: (size: { width: number; height: number }) => ReactNode;
  /** What is to be done, with the main action at its foot. */
  now: ReactNode;
}

/**
 * The frame of the stations at the tank. Wide: well, stage, now, tags on the wire at the foot. Upright tablet: now on
 * top, stage, well and tags side by side. Phone: now alone; the rest is a tap away.
 */
export function TankLayout({ station, band, stage, now }: TankLayoutProps) {
  const { state, jobId } = useJob();
  const [tag, setTag] = useState<string | null>(null);
  const [well, wellSize] = useSize<HTMLDivElement>();
  const [box, boxSize] = useSize<HTMLDivElement>();
  const ahead = useMemo(() => (state.out ? [] : marksAhead(planDescent(state))), [state]);
  useTagNumber(state, setTag);
  return (
    <div className="flex min-h-0 flex-1 flex-col wide:overflow-hidden">
      <div className="grid min-h-0 flex-1 mid:grid-cols-[15rem_minmax(0,1fr)] wide:grid-cols-[15rem_minmax(0,1fr)_22.5rem]">
        <div
          ref={well}
          className="hidden overflow-hidden border-r border-rule mid:row-start-2 mid:block mid:min-h-[34rem] wide:row-start-1 wide:min-h-0"
        >
          {wellSize.height > 100 && (
            <Well
              chords={chords(state)}
              here={Math.max(state.pose.f, state.pose.r)}
              clear={state.vehicle.clear}
              ahead={ahead}
              station={station}
              done={stationsDone(state)}
              up={state.out}
              to={(id) => `/jobs/${jobId}/${id}`}
              height={Math.min(wellSize.height, 720)}
            />
          )}
        </div>
        <div className="hidden min-h-0 flex-col bg-sheet mid:row-start-2 mid:flex wide:row-start-1">
          {band}
          <div ref={box} className="min-h-0 flex-1 overflow-hidden">
            {boxSize.height > 120 && stage(boxSize)}
          </div>
        </div>
        <section
          aria-label="now"
          className="flex min-h-0 flex-col border-rule mid:col-span-2 mid:row-start-1 mid:border-b wide:col-span-1 wide:col-start-3 wide:border-b-0 wide:border-l wide:bg-sheet"
        >
          <div className="mid:hidden">{band}</div>
          {now}
        </section>
      </div>
      <footer className="hidden h-31 shrink-0 border-t-2 border-ink mid:flex">
        <div className="min-w-0 flex-1">
          <Wire state={state} onTag={setTag} />
        </div>
        <div className="flex w-56 shrink-0 items-center p-3">
          <TakeBack boxed />
        </div>
      </footer>
      <TagSheet item={tag} onClose={() => setTag(null)} />
    </div>
  );
}
