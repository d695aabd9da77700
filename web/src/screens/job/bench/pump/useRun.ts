import type { InstrumentKind, RunReading } from '@iron-cradle/core';
import { useEffect, useRef, useState } from 'react';
import { useKept } from '../../../../log/useKept.ts';
import { channelIn, readOnce, useInstruments, type ShopChannel } from '../../../../net/instruments.ts';

/** How often the meters are read, ms. */
const EVERY = 500;

/** What is read of a run, and where. */
const METERS = {
  volts: ['supply', 'volts'],
  amps: ['supply', 'amps'],
  bar: ['pressureGauge', 'outlet'],
  litres: ['flowCounter', 'bench'],
} as const satisfies Record<string, readonly [InstrumentKind, string]>;
type Meter = keyof typeof METERS;

/** A run that stands or goes on. */
interface Run {
  readings: RunReading[];
  /** ms since the epoch, by the clock that reads. */
  since: number | null;
  off: number | null;
}

/** What the meters on the bench show while a pump runs and once it stands; what stops answering is said, and what was read stays. */
export function useRun(jobId: string, part: string) {
  const list = useInstruments(jobId).data;
  const channel = (meter: Meter): ShopChannel | null => {
    const [kind, of] = METERS[meter];
    return channelIn(list, kind, of);
  };
  const meters = (Object.keys(METERS) as Meter[]).filter((meter) => channel(meter));
  const able = meters.includes('volts') && meters.includes('amps');
  const [{ readings, since, off }, setRun] = useKept<Run>(`${jobId} run ${part}`, {
    readings: [],
    since: null,
    off: null,
  });
  const [on, setOn] = useState(false);
  const [stopped, setStopped] = useState<string | null>(null);
  const asked = useRef({ meters, since, off });
  useEffect(() => {
    asked.current = { meters, since, off };
  });
  useEffect(() => {
    if (!on) return undefined;
    let goes = true;
    const round = async (): Promise<void> => {
      const { meters: which, since: from, off: until } = asked.current;
      if (!goes) return;
      try {
        const read = await Promise.all(
          which.map(async (meter) => {
            const [kind, of] = METERS[meter];
            return [meter, await readOnce({ jobId, kind, channel: of, since: from, off: until })] as const;
          }),
        );
        const shown = new Map(read);
        // By the clock that reads, never by this device’s.
        const moment = Math.max(...read.map(([, one]) => one.at));
        const at = from === null ? 0 : (moment - from) / 1000;
        const of = (meter: Meter) => shown.get(meter)?.value ?? null;
        const [volts, amps] = [of('volts'), of('amps')];
        if (goes && volts !== null && amps !== null)
          setRun((had) => ({
            ...had,
            since: had.since ?? moment,
            readings: [...had.readings, { at: Math.max(0, at), volts, amps, bar: of('bar'), litres: of('litres') }],
          }));
      } catch (error) {
        setStopped(error instanceof Error ? error.message : String(error));
        setOn(false);
        return;
      }
      if (goes) setTimeout(() => void round(), EVERY);
    };
    void round();
    return () => {
      goes = false;
    };
  }, [on, jobId, setRun]);
  return {
    readings,
    /** Can volts and amps be read here? */
    able,
    simulated: channel('amps')?.simulated ?? false,
    /** Runs it, stands it, or is not read at all. */
    state: !on ? ('not' as const) : off === null ? ('runs' as const) : ('stands' as const),
    /** Why an instrument stopped in the middle; null: none did. */
    stopped,
    begin: () => {
      setStopped(null);
      setRun({ readings: [], since: null, off: null });
      setOn(true);
    },
    switchOff: () =>
      setRun((had) => ({
        ...had,
        off: had.since === null ? null : had.since + Math.round((had.readings.at(-1)?.at ?? 0) * 1000),
      })),
    end: () => setOn(false),
    take: (all: RunReading[]) => {
      setOn(false);
      setStopped(null);
      setRun({ readings: all, since: null, off: null });
    },
  };
}
