import {
  howItFalls,
  freeVolume,
  holdCompleted,
  holeInWords,
  ifMeant,
  judgeHeld,
  lookedAt,
  ownUnit,
  type HeldBody,
  type HoldJudged,
  type HoleName,
  type JobState,
} from '@iron-cradle/core';
import { lazy, Suspense, useMemo } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useWatch } from 'react-hook-form';
import { useMainUnit } from '../../../app/units.ts';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { LineKey } from '../../../drawings/chart/LineKey.tsx';
import { fromWhere } from '../../../net/instruments.ts';
import { useJob } from '../../../log/useJob.ts';
import { charts } from '../charts.ts';
import { TankLayout } from '../tank/TankLayout.tsx';
import { HoldMain, HoldPanel } from './HoldPanel.tsx';
import { HoldRig } from './HoldRig.tsx';
import { useReadings } from './useReadings.ts';

const HoldChart = lazy(charts.hold);

interface HoldScreenProps {
  where: 'bench' | 'home';
  onDone: () => void;
}

/** The tank under a little air or vacuum, on the bench or at home: what the gauge shows against the time, and whether that is tight. */
export function HoldScreen({ where, onDone }: HoldScreenProps) {
  const { state, jobId } = useJob();
  const unit = useMainUnit() === 'us' ? 'inH2O' : 'kPa';
  const source = useReadings(`${jobId} hold ${where}`, jobId);
  const volume = freeVolume(state);
  const form = useEntryForm({ kind: 'held', start: { where, celsius: 20, step: 25, hole: '0.020' } });
  const said = useWatch({ control: form.control }) as Partial<HeldBody>;
  const { readings } = source;
  const judged = useMemo(() => judgedSoFar({ ...said, readings }, state), [said, readings, state]);
  // Places move only when it is looked at anew, never under a finger with each reading.
  const looked = readings.slice(0, lookedAt(readings.length));
  const then = looked.length > 0 ? judgedSoFar({ ...said, readings: looked }, state) : null;
  const fall = then && said.step ? howItFalls({ readings: looked, step: said.step }, then) : 'any';
  const last = readings.at(-1);
  const shown = (pascals: number) => ownUnit(Math.abs(pascals), 'pressure', unit).toFixed(2);
  return (
    <TankLayout
      station={where === 'home' ? 'prove' : 'bench'}
      page
      stage={() => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="sr-only">{where === 'home' ? 'The tank held at home' : 'The tank held on the bench'}</h1>
          {last ? (
            <>
              <p className="reading text-64 leading-none mid:text-104" data-live-hold={source.from ?? 'stands'}>
                {shown(last[1])}
                <span className="text-24">
                  {' '}
                  {unit}
                  {last[1] < 0 ? ' under the air' : ''}
                </span>
              </p>
              <p className="pb-4 text-quiet">
                {shown(readings[0]![1])} to begin with, {Math.round(last[0])} s ago
                {source.from === 'gauge' && source.live ? fromWhere(source.live) : ''}
              </p>
            </>
          ) : (
            <HoldRig state={state} where={where} />
          )}
          {judged && last && (
            <ErrorBoundary fallback={<p className="py-4 text-quiet">The chart comes once the network is back.</p>}>
              <Suspense fallback={<p className="h-64 py-4 text-quiet mid:h-80">Drawing…</p>}>
                <HoldChart
                  readings={readings.map(([at, pa]) => [at, Math.abs(pa)])}
                  judged={judged}
                  until={Math.max(20, Math.ceil((last[0] + (judged.more ?? 0)) / 10) * 10)}
                  unit={unit}
                />
              </Suspense>
            </ErrorBoundary>
          )}
          {judged && last && <Lines judged={judged} hole={said.hole ?? '0.020'} />}
          {judged && last && <Figures judged={judged} volume={said.push?.rise ? null : volume} unit={unit} />}
        </div>
      )}
      now={<HoldPanel where={where} form={form} source={source} judged={judged} fall={fall} onDone={onDone} />}
      main={state.signed ? undefined : <HoldMain where={where} form={form} source={source} />}
    />
  );
}

/** What it comes to so far, as it would be entered; null while a figure is missing or can't be meant. */
function judgedSoFar(body: Partial<HeldBody>, state: JobState): HoldJudged | null {
  const { readings, step, celsius, hole, aired = false, push, where, settled, ...rest } = body;
  if (!readings?.length || !step || typeof celsius !== 'number' || !hole) return null;
  const pushed = push?.millilitres && push.rise ? { push } : {};
  const waited = settled === undefined ? {} : { settled };
  const whole = {
    readings,
    step,
    celsius,
    hole,
    aired,
    ...known(rest),
    ...pushed,
    ...waited,
    ...(where ? { where } : {}),
  };
  return ifMeant(() => judgeHeld(holdCompleted(state, whole)));
}

const known = ({ height, ends }: Partial<HeldBody>): Partial<HeldBody> => ({
  ...(typeof height === 'number' ? { height } : {}),
  ...(typeof ends === 'number' ? { ends } : {}),
});

/** What each line of the chart is. */
function Lines({ judged, hole }: { judged: HoldJudged; hole: HoleName }) {
  const { millimetres } = judged;
  if (!millimetres) return null;
  return (
    <ul className="flex flex-wrap gap-x-6 gap-y-1 pt-2 font-semibold">
      <li>
        <LineKey color="var(--ink)" width={2}>
          falls like a hole of {millimetres.lo.toFixed(2)}–{millimetres.hi.toFixed(2)} mm
        </LineKey>
      </li>
      <li className="text-halt">
        <LineKey color="var(--halt)" width={2} dashed>
          limit: a hole of {holeInWords(hole)}
        </LineKey>
      </li>
    </ul>
  );
}

interface FiguresProps {
  judged: HoldJudged;
  volume: { lo: number; hi: number } | null;
  unit: 'inH2O' | 'kPa';
}

/** What the verdict stands on: the air inside, what goes out, what warming would hide. */
function Figures({ judged, volume, unit }: FiguresProps) {
  const { litresPerMinute, drift } = judged;
  return (
    <dl className="grid gap-x-6 gap-y-2 pt-4 min-[480px]:grid-cols-3">
      <div>
        <dt className="text-quiet">free volume</dt>
        <dd className="reading">{volume ? `${Math.round(volume.lo)}–${Math.round(volume.hi)} L` : 'by the push'}</dd>
      </div>
      <div>
        <dt className="text-quiet">goes out</dt>
        <dd className="reading">
          {litresPerMinute
            ? `${litresPerMinute.lo.toFixed(2)}–${litresPerMinute.hi.toFixed(2)} L/min`
            : 'not known yet'}
        </dd>
      </div>
      <div>
        <dt className="text-quiet">warming may hide</dt>
        <dd className="reading">
          {ownUnit(drift, 'pressure', unit).toFixed(2)} {unit}
        </dd>
      </div>
    </dl>
  );
}
