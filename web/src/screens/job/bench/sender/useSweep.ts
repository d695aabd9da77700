import { oneMore, sweeping, sweptWay, type Sweeping, type SweptWay } from '@iron-cradle/core';
import { useEffect, useState } from 'react';
import { useKept } from '../../../../log/useKept.ts';
import { useLive } from '../../../../net/instruments.ts';

/** A slow way takes a second at the stop, ten seconds, and a second at the other stop, s. */
const WAY = 12.4;
/** A meter that says nothing for so long is at rest: some only speak when the reading changes, s. */
const RESTS = 3;

/** Ways of a sweep, kept under a name of their own; the one that is going takes every reading at its own time, and ends by itself. */
export function useSweep(keep: string, jobId: string) {
  const [passes, setPasses] = useKept<SweptWay[]>(keep, []);
  const [going, setGoing] = useState<Sweeping | null>(null);
  const [over, setOver] = useState(false);
  const live = useLive({
    jobId,
    kind: 'multimeter',
    channel: going?.way === 'down' ? 'sweepDown' : 'sweepUp',
    on: going !== null,
    onReading: (reading) => setGoing((had) => had && oneMore(had, reading)),
  });
  const far = going?.seconds.at(-1) ?? 0;
  if (going && (over || far >= WAY)) {
    if (going.ohms.length > 0) setPasses([...passes, sweptWay(going)]);
    setGoing(null);
  }
  if (over) setOver(false);
  // Counted from the first reading: a meter that is slow to answer takes nothing off the way.
  useEffect(() => {
    if (!going?.ohms.length) return undefined;
    const end = setTimeout(() => setOver(true), (WAY - far + RESTS) * 1000);
    return () => clearTimeout(end);
  }, [going?.ohms.length, far]);
  return {
    passes,
    setPasses,
    /** The way that is being swept; null: none. */
    going,
    /** What the meter shows now. */
    live,
    begin: (way: SweptWay['way']) => setGoing(sweeping(way)),
    end: () => setOver(true),
  };
}
