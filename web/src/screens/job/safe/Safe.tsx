import { spillInWords } from '@iron-cradle/core';
import { useNavigate } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { GateRail } from '../GateRail.tsx';
import { StationRail } from '../StationRail.tsx';
import { Pressure } from './Pressure.tsx';

/** Make safe: gate 1, before anything is opened. */
export default function Safe() {
  const { jobId, state } = useJob();
  const navigate = useNavigate();
  return (
    <div className="flex flex-1 wide:overflow-hidden">
      <StationRail now="safe" />
      <main className="mx-auto flex w-full max-w-3xl flex-1 flex-col wide:overflow-y-auto">
        <h1 className="sr-only">Make safe, before anything is opened</h1>
        <GateRail
          gate={1}
          pass="Gate 1: safe to open"
          onPassed={() => void navigate(`/jobs/${jobId}/drain`)}
          body={(j) =>
            j.item.id === 'pressure' ? (
              <Pressure />
            ) : j.item.id === 'air' ? (
              <p className="max-w-prose">{spillInWords(state.vehicle.fuel)}</p>
            ) : null
          }
        />
      </main>
    </div>
  );
}
