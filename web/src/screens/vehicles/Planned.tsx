import { foldJob, logWriter, nextStop, type JobState, type VehicleFile } from '@iron-cradle/core';
import { minutesInWords, stopsInWords } from '@iron-cradle/core/foresight';
import { useMemo, useState, type ReactNode } from 'react';
import { useUnits } from '../../app/units.ts';
import { placed } from './placed.ts';
import { Hang } from '../../drawings/hang/Hang.tsx';
import { MinutesBar } from '../../drawings/minutes/MinutesBar.tsx';
import { useSize } from '../../ui/useSize.ts';
import { VerdictView } from '../../ui/VerdictView.tsx';
import { useForesight } from '../../workers/useForesight.ts';
import { Words } from '../../ui/Words.tsx';

/** A job that begins with this file, for drawing and planning it. */
const begun = (vehicle: VehicleFile): JobState =>
  foldJob(null, [logWriter('draft')('opened', { name: vehicle.name, complaint: 'pump', vehicle })])!;

interface PlannedProps {
  file: VehicleFile;
  whole: boolean;
  /** A line was tapped in the drawing: `line:` and its id. */
  onLine: (key: string) => void;
  /** Something was dragged to another place along the tank, mm. */
  onPlace: (key: string, x: number) => void;
  /** Controls, between the drawing and what the plan says. */
  children: ReactNode;
}

/** The file as a tank that hangs, and what a plan makes of it while it is written. */
export function Planned({ file, whole, onLine, onPlace, children }: PlannedProps) {
  const [dragged, setDragged] = useState<{ key: string; x: number } | null>(null);
  const state = useMemo(() => begun(file), [file]);
  const units = useUnits();
  const [box, size] = useSize<HTMLDivElement>();
  const shown = useMemo(() => (dragged ? begun(placed(file, dragged.key, dragged.x)) : state), [dragged, file, state]);
  const stop = useMemo(() => (whole ? nextStop(shown) : null), [shown, whole]);
  const { foresight, progress } = useForesight(state, [], whole);
  return (
    <div>
      <div ref={box} className="h-[27rem] overflow-hidden border-b border-rule">
        {stop && size.width > 0 && (
          <Hang
            state={shown}
            stop={{ ...stop, pose: shown.pose }}
            ghost={null}
            onLine={onLine}
            onPlace={(key, x, done) => {
              setDragged(x === null || done ? null : { key, x });
              if (x !== null && done) onPlace(key, x);
            }}
            units={units}
            width={size.width}
            height={size.height}
          />
        )}
      </div>
      {children}
      {whole && foresight && (
        <div className="grid gap-2 pt-3" role="status" data-planned={foresight.verdict.outcome}>
          <VerdictView verdict={foresight.verdict} compact />
          {foresight.conflict && (
            <p>
              If all is as likely, <Words of={foresight.conflict} />.
            </p>
          )}
          {foresight.conflict === null && (
            <>
              <p className="text-quiet">
                Down in {minutesInWords(foresight.ahead.minutes, foresight.ahead.open)}, by{' '}
                {stopsInWords(foresight.ahead.stops, foresight.ahead.open)} stops
              </p>
              <MinutesBar minutes={foresight.ahead.minutes} />
            </>
          )}
        </div>
      )}
      {progress !== null && <p className="pt-2 text-quiet">Planning it…</p>}
    </div>
  );
}
