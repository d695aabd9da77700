import { chords, descended, marksAhead, stationsDone, type StationId } from '@iron-cradle/core';
import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { Well } from '../../../drawings/well/Well.tsx';
import { Wire } from '../../../drawings/wire/Wire.tsx';
import { useMainUnit } from '../../../app/units.ts';
import { useJob } from '../../../log/useJob.ts';
import { useSize } from '../../../ui/useSize.ts';
import { useAhead } from '../../../workers/AheadOf.tsx';
import { ReadCode } from '../ReadCode.tsx';
import { TagSheet } from '../TagSheet.tsx';
import { TakeBack } from '../TakeBack.tsx';
import { useTagNumber } from './useTagNumber.ts';

interface TankLayoutProps {
  station: StationId;
  band?: ReactNode;
  /** The drawing in the middle of wide screens. */
  stage: (size: { width: number; height: number }) => ReactNode;
  /** The middle carries the station’s own page, which a phone shows above what is to be done. */
  page?: boolean;
  /** What is to be done. */
  now: ReactNode;
  /** The controls, and the main action at the foot of the screen. */
  act?: ReactNode;
  main?: ReactNode;
}

/**
 * The frame of the stations at the tank. Wide: well, stage, now, tags on the wire at the foot. Upright tablet: now on
 * top, stage, well and tags side by side. Phone: now alone; the rest is a tap away.
 */
export function TankLayout({ station, band, stage, page = false, now, act, main }: TankLayoutProps) {
  const { state, jobId } = useJob();
  const units = useMainUnit();
  const [tag, setTag] = useState<string | null>(null);
  const [well, wellSize] = useSize<HTMLDivElement>();
  const [box, boxSize] = useSize<HTMLDivElement>();
  const ahead = useAhead();
  useTagNumber(state, setTag);
  // A code that was photographed elsewhere leads here.
  const [search] = useSearchParams();
  const asked = Number(search.get('tag') ?? 0);
  const [shown, setShown] = useState(0);
  if (asked !== shown) {
    setShown(asked);
    const item = state.items.find((one) => one.tag === asked);
    if (item) setTag(item.key);
  }
  return (
    <div className={`tank-grid tank-${station}`}>
      <div ref={well} className="hidden min-h-0 overflow-hidden border-r border-rule [grid-area:well] mid:block">
        {wellSize.height > 100 && (
          <Well
            chords={chords(state)}
            here={Math.max(state.pose.f, state.pose.r)}
            clear={state.vehicle.clear}
            ahead={marksAhead(ahead?.walk ?? [])}
            station={station}
            done={stationsDone(state)}
            up={descended(state)}
            to={(id) => `/jobs/${jobId}/${id}`}
            height={Math.min(wellSize.height, 720)}
            units={units}
          />
        )}
      </div>
      <div className="tank-band [grid-area:band]">{band}</div>
      <div
        ref={box}
        className={`min-h-0 bg-sheet [grid-area:stage] mid:block mid:overflow-hidden ${page ? '' : 'hidden'}`}
      >
        {(page || boxSize.height > 120) && stage(boxSize)}
      </div>
      <section
        aria-label="now"
        className="min-h-0 border-rule [grid-area:now] mid:overflow-y-auto mid:border-b wide:border-b-0 wide:border-l wide:bg-sheet"
      >
        {now}
      </section>
      {(act || main) && (
        <div className="tank-act">
          {act}
          <div className="tank-main">{main}</div>
          <div className="mid:hidden">
            <TakeBack />
          </div>
        </div>
      )}
      <footer className="hidden min-h-0 border-t-2 border-ink [grid-area:wire] mid:flex mid:flex-col wide:flex-row">
        <div className="min-h-0 min-w-0 flex-1">
          <Wire state={state} units={units} onTag={setTag} />
        </div>
        <div className="flex shrink-0 items-center gap-2 p-3 wide:w-72">
          <ReadCode onTag={setTag} small />
          <div className="min-w-0 flex-1">
            <TakeBack boxed />
          </div>
        </div>
      </footer>
      <TagSheet item={tag} onClose={() => setTag(null)} />
    </div>
  );
}
