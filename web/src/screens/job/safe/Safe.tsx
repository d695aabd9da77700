import { spillInWords } from '@iron-cradle/core';
import { useNavigate } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { fromWhere } from '../../../net/instruments.ts';
import { LiveReading } from '../../../ui/LiveReading.tsx';
import { GateRail } from '../GateRail.tsx';
import { StationRail } from '../StationRail.tsx';
import { Pressure } from './Pressure.tsx';
import { Support } from './Support.tsx';
import { Words } from '../../../ui/Words.tsx';

/** Make safe: gate 1, before anything is opened. */
export default function Safe() {
  const { jobId } = useJob();
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
              <Air />
            ) : j.item.id === 'support' ? (
              <Support />
            ) : null
          }
        />
      </main>
    </div>
  );
}

function Air() {
  const { state, enter } = useJob();
  return (
    <div className="grid gap-4">
      <p className="max-w-prose">
        <Words of={spillInWords(state.vehicle.fuel)} />
      </p>
      <LiveReading
        kind="gasMeter"
        channel="lel"
        take="Note it"
        onTake={(r) => void enter('note', { text: `gas meter ${r.text} of the lower limit${fromWhere(r)}` })}
      />
      <p className="text-quiet">
        Above a tenth of the lower limit nobody works there: that is a limit of ignition, not of what is fit to breathe.
      </p>
    </div>
  );
}
