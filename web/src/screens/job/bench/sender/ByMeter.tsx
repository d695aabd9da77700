import {
  readSweep,
  senderFamilies,
  sweepAgain,
  writeSweep,
  type Piece,
  type SweptWay,
  type Trace,
  type UnitPart,
} from '@iron-cradle/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useJob } from '../../../../log/useJob.ts';
import { fromWhere, useChannel, type LiveReading } from '../../../../net/instruments.ts';
import { ReadingsTable } from '../../../../ui/ReadingsTable.tsx';
import { SelectField } from '../../../../ui/SelectField.tsx';
import { VerdictView } from '../../../../ui/VerdictView.tsx';
import { charts } from '../../charts.ts';
import { useSweep } from './useSweep.ts';

const SweepChart = lazy(charts.sweep);

/** Ohms one after the other: from the meter of this shop, or as a table from another one; beside them those of the one that came out. */
export function ByMeter({ part }: { part: UnitPart }) {
  const { jobId, state, enter } = useJob();
  const meter = useChannel(jobId, 'multimeter', 'sweepUp');
  const { passes, setPasses, going, live: reading, begin, end } = useSweep(`${jobId} sweep ${part.id}`, jobId);
  // Where the file says nothing of its ohms, somebody may know the family; nothing guesses it.
  const [family, setFamily] = useState<string | undefined>(undefined);
  const way = going?.way ?? null;
  const all = going ? [...passes, going] : passes;
  const last = all.at(-1);
  const whole = passes.some((p) => p.way === 'up') && passes.some((p) => p.way === 'down');
  const again = useMemo(() => sweepAgain(passes, { file: state.vehicle, family }), [passes, state.vehicle, family]);
  const next: SweptWay['way'] = again?.way ?? (last?.way === 'up' ? 'down' : 'up');
  const { now, old } = tracesOf(state.pieces[part.id] ?? []);
  const shown = all.length > 0 ? all : now;
  return (
    <>
      {last && (
        <p className="reading text-64 leading-none mid:text-104" data-live-sweep={way ?? 'stands'}>
          <Ohms last={last} live={way ? reading : null} going={way !== null} />
        </p>
      )}
      {(shown.length > 0 || old.length > 0) && (
        <ErrorBoundary fallback={<p className="py-4 text-quiet">The chart comes once the network is back.</p>}>
          <Suspense fallback={<p className="h-44 py-4 text-quiet">Drawing…</p>}>
            <SweepChart passes={shown} old={old} />
          </Suspense>
        </ErrorBoundary>
      )}
      {again && !way && (
        <div data-unread={again.way}>
          <VerdictView verdict={again.verdict} />
        </div>
      )}
      {way ? (
        <button type="button" className="btn" data-action="sweep-stop" onClick={end}>
          {way === 'up' ? 'Going up: at its full stop' : 'Going back: at its empty stop'}
        </button>
      ) : (
        meter && (
          <button type="button" className="btn" data-action={`sweep-${next}`} onClick={() => begin(next)}>
            {passes.length === 0 ? `Sweep it with the meter${fromWhere(meter)}` : onward(next, last)}
          </button>
        )
      )}
      {whole && !way && !state.vehicle.sender && (
        <SelectField
          label="Its family, empty to full, if somebody knows it"
          options={senderFamilies.map(({ name }) => name)}
          value={family}
          onPick={setFamily}
        />
      )}
      {whole && !way && (
        <button
          type="button"
          className="btn"
          data-action="sweep-judge"
          onClick={() =>
            void enter('swept', { part: part.id, passes, ...(family === undefined ? {} : { family }) }).then(
              (stands) => stands && setPasses([]),
            )
          }
        >
          Judge {passes.length} passes
        </button>
      )}
      {!way && (
        <ReadingsTable readings={passes} name="sweep" read={readSweep} write={writeSweep} onReadings={setPasses} />
      )}
    </>
  );
}

/** What the meter shows now, or showed at the stop where the last way ended; open has no unit. */
function Ohms({ last, live, going }: { last: SweptWay; live: LiveReading | null; going: boolean }) {
  if (last.ohms.length === 0) return '…';
  const ohms = (live ? live.value : last.ohms.at(-1)) ?? null;
  const where = live ? fromWhere(live) : going ? '' : `, ${last.way === 'up' ? 'at full' : 'at empty'}`;
  return (
    <>
      {ohms === null ? 'open' : (live?.text.replace(' Ω', '') ?? ohms)}
      <span className="text-24">
        {ohms === null ? '' : ' Ω'}
        {where}
      </span>
    </>
  );
}

/** What the key says that begins the next way. */
const onward = (next: SweptWay['way'], last: SweptWay | undefined): string =>
  next === 'up' ? 'Once more, from empty up' : last?.way === 'down' ? 'Once more, from full back' : 'Now back to empty';

/** How the one that goes back looked when it was swept, and the one that came out. */
function tracesOf(pieces: readonly Piece[]): { now: readonly Trace[]; old: readonly Trace[] } {
  const of = (piece: Piece | undefined): readonly Trace[] =>
    piece?.words.findLast(({ sweep }) => sweep && sweep.traces.length > 0)?.sweep?.traces ?? [];
  return { now: of(pieces.at(-1)), old: pieces.length > 1 ? of(pieces[0]) : [] };
}
