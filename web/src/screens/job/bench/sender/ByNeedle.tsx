import type { UnitPart } from '@iron-cradle/core';
import { useEffect, useState } from 'react';
import { useJob } from '../../../../log/useJob.ts';

type Way = 'up' | 'down';

/** Ten seconds from stop to stop: the mark says how fast, a tap says where the needle jumped. */
const PACE = 10_000;

/** Without a meter: one slow pass up and back, a tap where the needle jumps. */
export function ByNeedle({ part }: { part: UnitPart }) {
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
