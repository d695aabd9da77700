import { stations, stationsDone, type StationId } from '@iron-cradle/core';
import { Link } from 'react-router';
import { stationNames } from '../../drawings/well/Well.tsx';
import { useJob } from '../../log/useJob.ts';

/** The seven stations as beads on a rail, for the stations that are not in the well. */
export function StationRail({ now }: { now: StationId }) {
  const { jobId, state } = useJob();
  const done = stationsDone(state);
  return (
    <nav aria-label="stations" className="hidden w-[6rem] shrink-0 border-r border-rule pt-5 wide:block">
      {stations.map((id) => (
        <Link
          key={id}
          to={`/jobs/${jobId}/${id}`}
          aria-current={id === now ? 'step' : undefined}
          className={`flex min-h-11 items-center gap-2.5 pl-3.5 [font-stretch:85%] ${id === now ? 'font-bold' : ''}`}
        >
          <span
            aria-hidden
            className={`size-3.5 rounded-[2px] border-2 border-ink ${id === now ? 'bg-paint' : done.includes(id) ? 'bg-ink' : 'bg-sheet'}`}
          />
          {stationNames[id]}
        </Link>
      ))}
    </nav>
  );
}
