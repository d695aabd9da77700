import {
  byJack,
  countsFor,
  ignoredWitnesses,
  kilogramsOf,
  answerTo,
  drained,
  judgeSample,
  litresToTakeOut,
  safeFillToday,
  SAMPLE,
  shareOut,
  startingCans,
  tankMass,
  fuelCelsius,
  kilograms,
  litres,
  rounded,
} from '@iron-cradle/core';
import { ErrorBoundary } from 'react-error-boundary';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Shape } from '../../../look/Shapes.tsx';
import { useJob } from '../../../log/useJob.ts';
import { charts } from '../charts.ts';
import { useShop } from '../../../net/queries.ts';
import { Band } from '../../../ui/Band.tsx';
import { capital } from '../../../ui/capital.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { GateRail } from '../GateRail.tsx';
import { JackCheck } from '../safe/JackCheck.tsx';
import { StationRail } from '../StationRail.tsx';
import { Balance } from './Balance.tsx';
import { Cans } from './Cans.tsx';
import { Lift } from './Lift.tsx';
import { Sample } from './Sample.tsx';
import { TankPanel } from './TankPanel.tsx';
import { WaysOut } from './WaysOut.tsx';
import { WitnessButtons } from './WitnessButtons.tsx';
import { useWords } from '../../../ui/Words.tsx';

const WitnessChart = lazy(charts.witnesses);
type Side = 'fuel' | 'gate';

/** Drain: the tank with what is in it, how it comes out and where it goes, what says how much is left; then gate 2. */
export default function Drain() {
  const { state, jobId } = useJob();
  const navigate = useNavigate();
  const [side, setSide] = useState<Side>('fuel');
  const [counted, setCounted] = useState<{ litres: number; turn: number } | null>(null);
  const { aboard, contradictions } = state.fuel;
  const filling = state.containers.at(-1);
  return (
    <div className="flex flex-1 flex-col wide:flex-row wide:overflow-hidden">
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
        <TankPanel />
        <h2 className="mt-5 border-t border-rule pb-2 pt-4 text-20">Where it goes</h2>
        <Cans counted={counted} />
        <div className="mt-5 border-t border-rule pt-4">
          <Sample />
        </div>
        <h2 className="mt-5 border-t border-rule pb-2 pt-4 text-20">What says how much is left</h2>
        <p className="pb-3 text-quiet">
          Two witnesses that do not share a source are needed before the supports come off.
        </p>
        <WitnessButtons kinds={['dip', 'levelSeen', 'plugDry', 'ranDry', 'weight', 'sinceEmpty', 'scan', 'ohms']} />
        {contradictions.map((text) => (
          <p key={text} className="pt-3 font-semibold text-halt">
            {text}.
          </p>
        ))}
        {ignoredWitnesses(state).map((text) => (
          <p key={text} className="flex items-start gap-2 pt-3">
            <Shape outcome="unknown" size={24} />
            <span>{capital(text)}. It does not count.</span>
          </p>
        ))}
        {state.fuel.steps.length > 0 && (
          <ErrorBoundary fallback={<p className="py-4 text-quiet">The chart comes once the network is back.</p>}>
            <Suspense fallback={<p className="py-4 text-quiet">Drawing…</p>}>
              <WitnessChart steps={state.fuel.steps} aboard={aboard} />
            </Suspense>
          </ErrorBoundary>
        )}
      </main>
      <aside className="flex w-full shrink-0 flex-col border-rule wide:w-[25rem] wide:overflow-y-auto wide:border-l">
        <div className="p-4 pb-0">
          <Choice
            label=""
            value={side}
            onChoose={setSide}
            options={[
              { value: 'fuel', label: 'Draining' },
              { value: 'gate', label: 'Gate 2' },
            ]}
          />
        </div>
        {side === 'fuel' ? (
          <div className="grid gap-4 p-4 wide:px-5">
            <Running />
            <WaysOut onCounted={(litres) => setCounted((old) => ({ litres, turn: (old?.turn ?? 0) + 1 }))} />
            <Balance />
            {state.containers.length > 0 && (
              <Link to={`/jobs/${jobId}/labels`} className="btn">
                Labels for the cans
              </Link>
            )}
            <button type="button" className="btn w-full wide:hidden" onClick={() => setSide('gate')}>
              Gate 2, before the supports come off
            </button>
          </div>
        ) : (
          <GateRail
            gate={2}
            pass="Gate 2: supports may come off"
            onPassed={() => void navigate(`/jobs/${jobId}/drop`)}
            body={(j) =>
              j.item.id === 'jack' ? <JackCheck litres={aboard} /> : j.item.id === 'mass' ? <Lift /> : null
            }
          />
        )}
      </aside>
    </div>
  );
}

/** Where it stands: out, aboard, on the jack, and what the sample said. */
function Running() {
  const words = useWords();
  const { state } = useJob();
  const shop = useShop().data;
  const { aboard, steps } = state.fuel;
  const out = state.containers.reduce((sum, c) => sum + c.litres, 0);
  const mass = tankMass(state.vehicle, aboard, fuelCelsius(state));
  const { alone, two } = kilogramsOf(state);
  const cans = state.containers.map((c) => Math.round(c.litres * 10) / 10).join(' + ');
  const wanted = litresToTakeOut({ vehicle: state.vehicle, aboard, limit: alone, celsius: fuelCelsius(state) }).litres
    .hi;
  const plan = shareOut(wanted, shop?.kit.cans ?? startingCans, safeFillToday(state));
  const planned =
    wanted === 0
      ? 'nothing need come out'
      : `cans to have ready: ${plan.cans.map((c) => c.capacity).join(' + ')} L${plan.over > 0.5 ? `, and room for ${words([litres(Math.ceil(plan.over))])} more` : ''}`;
  const counted = steps.filter(countsFor).length;
  const sample = answerTo(state, SAMPLE);
  const judged = sample ? judgeSample(sample, state.vehicle.fuel) : null;
  const rows: [string, string][] = [
    [`${words([litres(out, out, 1)])} out`, cans ? `cans ${cans}` : planned],
    [
      `${words([rounded(litres, aboard, 1)])} aboard`,
      `${counted} ${counted === 1 ? 'witness' : 'witnesses'}; drained the usual way ${words([rounded(litres, drained(state.vehicle, aboard), 1)])} stay`,
    ],
    [
      `${words([rounded(kilograms, mass, 1)])} ${byJack(state.vehicle) ? 'on the jack' : 'to carry'}`,
      mass.hi <= alone
        ? `light enough for one, up to ${words([kilograms(alone)])}`
        : `alone up to ${words([kilograms(alone)])}${two === null ? ' lying: what carries it keeps it' : ': take more out, or two'}`,
    ],
    ...(judged && judged.verdict.outcome !== 'good'
      ? [[words(judged.verdict.reasons[0]!.text), words(judged.verdict.next[0]!)] as [string, string]]
      : []),
  ];
  return (
    <ul className="ruled border-y border-rule" aria-label="where it stands">
      {rows.map(([name, text]) => (
        <li key={name} className="py-2.5">
          <p className="narrow text-20">{name}</p>
          <p className="leading-tight text-quiet">{text}</p>
        </li>
      ))}
    </ul>
  );
}
