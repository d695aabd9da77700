import { readSweep, writeSweep, type UnitPart } from '@iron-cradle/core';
import { lazy, Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useJob } from '../../../log/useJob.ts';
import { fromWhere, useChannel, useLive, type ShopChannel } from '../../../net/instruments.ts';
import { ReadingsTable } from '../../../ui/ReadingsTable.tsx';
import { charts } from '../charts.ts';

const SweepChart = lazy(charts.sweep);

type Way = 'up' | 'down';
interface Pass {
  way: Way;
  ohms: (number | null)[];
}

/** A slow way takes a second at the stop, ten seconds, and a second at the other stop, ms. */
const WAY = 12_400;

/** A sender swept from stop to stop and back: by the meter where there is one, else by the needle with a tap where it jumps. */
export function Sweep({ part }: { part: UnitPart }) {
  const { jobId } = useJob();
  const meter = useChannel(jobId, 'multimeter', 'sweepUp');
  return (
    <div className="grid gap-3">
      <ByMeter part={part} meter={meter} />
      <ByNeedle part={part} />
    </div>
  );
}

/** Ohms one after the other: from the meter of this shop, or as a table from another one. */
function ByMeter({ part, meter }: { part: UnitPart; meter: ShopChannel | null }) {
  const { jobId, enter } = useJob();
  const [passes, setPasses] = useState<Pass[]>([]);
  const [way, setWay] = useState<Way | null>(null);
  const reading = useLive({
    jobId,
    kind: 'multimeter',
    channel: way === 'down' ? 'sweepDown' : 'sweepUp',
    on: way !== null,
  });
  const [heard, setHeard] = useState(reading);
  if (reading && reading !== heard && way) {
    setHeard(reading);
    setPasses((list) => {
      const last = list.at(-1);
      return last ? [...list.slice(0, -1), { ...last, ohms: [...last.ohms, reading.value] }] : list;
    });
  }
  useEffect(() => {
    if (!way) return undefined;
    const end = setTimeout(() => setWay(null), WAY);
    return () => clearTimeout(end);
  }, [way]);
  const begin = (next: Way) => {
    setPasses((list) => [...list, { way: next, ohms: [] }]);
    setWay(next);
  };
  const last = passes.at(-1);
  const whole = passes.some((p) => p.way === 'up') && passes.some((p) => p.way === 'down');
  const next: Way = last?.way === 'up' ? 'down' : 'up';
  return (
    <>
      {last && (
        <>
          <p className="reading text-64 leading-none mid:text-104" data-live-sweep={way ?? 'stands'}>
            {way && reading ? reading.text.replace(' Ω', '') : (last.ohms.at(-1) ?? 'open')}
            <span className="text-24">
              {' '}
              {way ? `Ω${reading ? fromWhere(reading) : ''}` : `Ω, ${last.way === 'up' ? 'at full' : 'at empty'}`}
            </span>
          </p>
          <ErrorBoundary fallback={<p className="py-4 text-quiet">The chart comes once the network is back.</p>}>
            <Suspense fallback={<p className="h-44 py-4 text-quiet">Drawing…</p>}>
              <SweepChart passes={passes} />
            </Suspense>
          </ErrorBoundary>
        </>
      )}
      {way ? (
        <button type="button" className="btn" data-action="sweep-stop" onClick={() => setWay(null)}>
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
      {whole && !way && (
        <button
          type="button"
          className="btn"
          data-action="sweep-judge"
          onClick={() => void enter('swept', { part: part.id, passes }).then((stands) => stands && setPasses([]))}
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

/** Ten seconds from stop to stop: the mark says how fast, a tap says where the needle jumped. */
const PACE = 10_000;

function ByNeedle({ part }: { part: UnitPart }) {
  const { enter } = useJob();
  const [began, setBegan] = useState<number | null>(null);
  const [way, setWay] = useState<Way>('up');
  const [taps, setTaps] = useState<{ way: Way; at: number }[]>([]);
  const [share, setShare] = useState(0);
  useEffect(() => {
    if (began === null) return undefined;
    const tick = setInterval(() => {
      const along = (Date.now() - began) / PACE;
      setShare(Math.min(1, along));
      if (along < 1) return;
      if (way === 'up') {
        setWay('down');
        setBegan(Date.now());
      } else setBegan(null);
    }, 100);
    return () => clearInterval(tick);
  }, [began, way]);
  const done = began === null && way === 'down';
  const at = way === 'up' ? share : 1 - share;
  if (began === null && !done)
    return (
      <button
        type="button"
        className="btn"
        data-action="needle"
        onClick={() => {
          setTaps([]);
          setWay('up');
          setBegan(Date.now());
        }}
      >
        No meter: watch the needle
      </button>
    );
  return (
    <div className="grid gap-3">
      <p className="text-quiet">
        {done
          ? `Up and back; ${taps.length === 0 ? 'it never jumped' : `it jumped ${taps.length} times`}.`
          : way === 'up'
            ? 'Slowly from empty to full, as the mark goes.'
            : 'And slowly back.'}
      </p>
      <div className="relative h-8 border border-edge bg-sheet" aria-hidden>
        <span className="absolute inset-y-0 w-1 bg-ink" style={{ left: `${at * 100}%` }} />
        {taps.map((tap) => (
          <span
            key={`${tap.way}${tap.at}`}
            className={`absolute h-1/2 w-1.5 bg-halt ${tap.way === 'up' ? 'top-0' : 'bottom-0'}`}
            style={{ left: `${tap.at * 100}%` }}
          />
        ))}
      </div>
      {done ? (
        <button
          type="button"
          className="btn"
          data-action="needle-judge"
          onClick={() => void enter('swept', { part: part.id, taps }).then((stands) => stands && setWay('up'))}
        >
          Judge it
        </button>
      ) : (
        <button
          type="button"
          className="btn min-h-18"
          data-action="jumps"
          onClick={() => setTaps((list) => [...list, { way, at: Math.round(at * 1000) / 1000 }])}
        >
          It jumps here
        </button>
      )}
    </div>
  );
}
