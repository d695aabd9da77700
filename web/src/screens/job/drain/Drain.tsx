import { drained, rangeInWords, tankMass, type Estimate } from '@iron-cradle/core';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { Band } from '../../../ui/Band.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { GateRail } from '../GateRail.tsx';
import { StationRail } from '../StationRail.tsx';
import { Cans } from './Cans.tsx';
import { TankSection } from './TankSection.tsx';
import { WaysOut } from './WaysOut.tsx';
import { WitnessButtons } from './WitnessButtons.tsx';

const WitnessChart = lazy(() => import('./WitnessChart.tsx'));
type Side = 'fuel' | 'gate';

/** Drain: litres into cans, witnesses that narrow what is aboard, then gate 2. */
export default function Drain() {
  const { state, jobId } = useJob();
  const navigate = useNavigate();
  const [side, setSide] = useState<Side>('fuel');
  const { aboard, contradictions } = state.fuel;
  const filling = state.containers.at(-1);
  return (
    <div className="flex flex-1 wide:overflow-hidden">
      <StationRail now="drain" />
      <main
        className={`min-w-0 flex-1 bg-sheet p-4 mid:p-8 wide:block wide:overflow-y-auto ${side === 'gate' ? 'hidden' : ''}`}
      >
        <h1 className="sr-only">Drain</h1>
        {filling && !state.gates[2].passed && (
          <div className="-mx-4 -mt-4 mb-4 mid:-mx-8 mid:-mt-8">
            <Band>Can {filling.number} was filled: stay in sight of it, bonded and grounded, device on the cart.</Band>
          </div>
        )}
        <Numbers aboard={aboard} />
        <TankSection />
        <WaysOut />
        <h2 className="pb-2 pt-4 text-20">Where it goes</h2>
        <Cans />
        <h2 className="pb-2 pt-6 text-20">What says how much is left</h2>
        <p className="pb-3 text-quiet">
          Two witnesses that do not share a source are needed before the straps come off.
        </p>
        <WitnessButtons kinds={['dip', 'levelSeen', 'plugDry', 'ranDry', 'weight', 'sinceEmpty']} />
        {contradictions.map((text) => (
          <p key={text} className="pt-3 font-semibold text-halt">
            {text}.
          </p>
        ))}
        {state.fuel.steps.length > 0 && (
          <Suspense fallback={<p className="py-4 text-quiet">Drawing…</p>}>
            <WitnessChart steps={state.fuel.steps} aboard={aboard} />
          </Suspense>
        )}
        <button type="button" className="btn mt-6 w-full wide:hidden" onClick={() => setSide('gate')}>
          Gate 2, before the supports come off
        </button>
      </main>
      <aside
        className={`w-full shrink-0 flex-col border-l border-rule wide:flex wide:w-[25rem] wide:overflow-y-auto ${side === 'gate' ? 'flex' : 'hidden'}`}
      >
        <div className="p-4 wide:hidden">
          <Choice
            label=""
            value={side}
            onChoose={setSide}
            options={[
              { value: 'fuel', label: 'Litres' },
              { value: 'gate', label: 'Gate 2' },
            ]}
          />
        </div>
        <GateRail gate={2} pass="Gate 2: supports may come off" onPassed={() => void navigate(`/jobs/${jobId}/drop`)} />
      </aside>
    </div>
  );
}

function Numbers({ aboard }: { aboard: Estimate }) {
  const { state } = useJob();
  const out = state.containers.reduce((sum, c) => sum + c.litres, 0);
  const mass = tankMass(state.vehicle, aboard);
  return (
    <>
      <dl className="grid grid-cols-3 gap-3 pb-2">
        <Figure word="aboard" value={`${rangeInWords(aboard, 1)} L`} />
        <Figure
          word={`out, ${state.containers.length} ${state.containers.length === 1 ? 'can' : 'cans'}`}
          value={`${Math.round(out * 10) / 10} L`}
        />
        <Figure word="on the jack" value={`${rangeInWords(mass, 1)} kg`} />
      </dl>
      <p className="pb-4 text-quiet">
        Drained the usual way {rangeInWords(drained(state.vehicle, aboard), 1)} L stay in it.
      </p>
    </>
  );
}

const Figure = ({ word, value }: { word: string; value: string }) => (
  <div>
    <dt className="text-quiet">{word}</dt>
    <dd className="reading text-20 font-semibold mid:text-32">{value}</dd>
  </div>
);
