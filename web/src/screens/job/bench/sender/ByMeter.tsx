import { readSweep, senderFamilies, writeSweep, type Piece, type Trace, type UnitPart } from '@iron-cradle/core';
import { lazy, Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useJob } from '../../../../log/useJob.ts';
import { useKept } from '../../../../log/useKept.ts';
import { fromWhere, useChannel, useLive } from '../../../../net/instruments.ts';
import { ReadingsTable } from '../../../../ui/ReadingsTable.tsx';
import { SelectField } from '../../../../ui/SelectField.tsx';
import { charts } from '../../charts.ts';

const SweepChart = lazy(charts.sweep);

type Way = 'up' | 'down';
interface Pass {
  way: Way;
  ohms: (number | null)[];
}

/** A slow way takes a second at the stop, ten seconds, and a second at the other stop, ms. */
const WAY = 12_400;

/** Ohms one after the other: from the meter of this shop, or as a table from another one; beside them those of the one that came out. */
export function ByMeter({ part }: { part: UnitPart }) {
  const { jobId, state, enter } = useJob();
  const meter = useChannel(jobId, 'multimeter', 'sweepUp');
  const [passes, setPasses] = useKept<Pass[]>(`${jobId} sweep ${part.id}`, []);
  const [going, setGoing] = useState<Pass | null>(null);
  const [over, setOver] = useState(false);
  // Where the file says nothing of its ohms, somebody may know the family; nothing guesses it.
  const [family, setFamily] = useState<string | undefined>(undefined);
  const way = going?.way ?? null;
  const reading = useLive({
    jobId,
    kind: 'multimeter',
    channel: way === 'down' ? 'sweepDown' : 'sweepUp',
    on: way !== null,
  });
  const [heard, setHeard] = useState(reading);
  if (reading && reading !== heard && going) {
    setHeard(reading);
    setGoing({ ...going, ohms: [...going.ohms, reading.value] });
  }
  if (over) {
    setOver(false);
    if (going) setPasses([...passes, going]);
    setGoing(null);
  }
  useEffect(() => {
    if (!way) return undefined;
    const end = setTimeout(() => setOver(true), WAY);
    return () => clearTimeout(end);
  }, [way]);
  const begin = (next: Way) => setGoing({ way: next, ohms: [] });
  const all = going ? [...passes, going] : passes;
  const last = all.at(-1);
  const whole = passes.some((p) => p.way === 'up') && passes.some((p) => p.way === 'down');
  const next: Way = last?.way === 'up' ? 'down' : 'up';
  const { now, old } = tracesOf(state.pieces[part.id] ?? []);
  const shown = all.length > 0 ? all : now;
  return (
    <>
      {last && (
        <p className="reading text-64 leading-none mid:text-104" data-live-sweep={way ?? 'stands'}>
          {way && reading ? reading.text.replace(' Ω', '') : (last.ohms.at(-1) ?? 'open')}
          <span className="text-24">
            {' '}
            {way ? `Ω${reading ? fromWhere(reading) : ''}` : `Ω, ${last.way === 'up' ? 'at full' : 'at empty'}`}
          </span>
        </p>
      )}
      {(shown.length > 0 || old.length > 0) && (
        <ErrorBoundary fallback={<p className="py-4 text-quiet">The chart comes once the network is back.</p>}>
          <Suspense fallback={<p className="h-44 py-4 text-quiet">Drawing…</p>}>
            <SweepChart passes={shown} old={old} />
          </Suspense>
        </ErrorBoundary>
      )}
      {way ? (
        <button type="button" className="btn" data-action="sweep-stop" onClick={() => setOver(true)}>
          {way === 'up' ? 'Going up: at its full stop' : 'Going back: at its empty stop'}
        </button>
      ) : (
        meter && (
          <button type="button" className="btn" data-action={`sweep-${next}`} onClick={() => begin(next)}>
            {passes.length === 0
              ? `Sweep it with the meter${fromWhere(meter)}`
              : next === 'up'
                ? 'Once more, from empty up'
                : 'Now back to empty'}
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

/** How the one that goes back looked when it was swept, and the one that came out. */
function tracesOf(pieces: readonly Piece[]): { now: readonly Trace[]; old: readonly Trace[] } {
  const of = (piece: Piece | undefined): readonly Trace[] =>
    piece?.words.findLast(({ sweep }) => sweep && sweep.traces.length > 0)?.sweep?.traces ?? [];
  return { now: of(pieces.at(-1)), old: pieces.length > 1 ? of(pieces[0]) : [] };
}
