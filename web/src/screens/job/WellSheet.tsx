import { chords, descended, marksAhead, stations, stationsDone, type StationId } from '@iron-cradle/core';
import { Well, stationNames } from '../../drawings/well/Well.tsx';
import { useMainUnit } from '../../app/units.ts';
import { useJob } from '../../log/useJob.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { useAhead } from '../../workers/AheadOf.tsx';

interface WellSheetProps {
  open: boolean;
  onClose: () => void;
  station: StationId;
  onStation: (id: StationId) => void;
}

/** The whole well on a phone, beside the same as a list. */
export function WellSheet({ open, onClose, station, onStation }: WellSheetProps) {
  const { state, jobId } = useJob();
  const units = useMainUnit();
  const ahead = useAhead();
  return (
    <Sheet open={open} onClose={onClose} title="The well of this job">
      <div className="flex flex-wrap gap-4">
        <Well
          chords={chords(state)}
          here={Math.max(state.pose.f, state.pose.r)}
          clear={state.vehicle.clear}
          ahead={marksAhead(ahead?.walk ?? [])}
          station={station}
          done={stationsDone(state)}
          up={descended(state)}
          to={(id) => `/jobs/${jobId}/${id}`}
          width={236}
          height={430}
          units={units}
        />
        <ol className="grid min-w-[6.5rem] flex-1 gap-2 self-start">
          {stations.map((id) => (
            <li key={id}>
              <button
                type="button"
                className="btn min-h-13 w-full"
                aria-pressed={id === station}
                onClick={() => onStation(id)}
              >
                {stationNames[id]}
              </button>
            </li>
          ))}
        </ol>
      </div>
    </Sheet>
  );
}
