import type { InstrumentKind } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../log/useJob.ts';
import { fromWhere, useInstruments, useLive, type LiveReading as Live } from '../net/instruments.ts';

interface LiveReadingProps {
  kind: InstrumentKind;
  channel: string;
  /** Words on the key that takes what it shows. */
  take: string;
  onTake: (reading: Live) => void;
  /** Some readings are nothing: an open sender. */
  takesNothing?: boolean;
}

/** An instrument of the shop, live: connect it, watch it, take what it shows. Not there where the shop has none. */
export function LiveReading({ kind, channel, take, onTake, takesNothing = false }: LiveReadingProps) {
  const { jobId } = useJob();
  const list = useInstruments(jobId).data;
  const [on, setOn] = useState(false);
  const reading = useLive({ jobId, kind, channel, on });
  const instrument = list?.find((i) => i.kind === kind);
  const at = instrument?.channels.find((c) => c.id === channel);
  if (!instrument || !at) return null;
  if (!on)
    return (
      <button type="button" className="btn w-full" data-instrument={kind} onClick={() => setOn(true)}>
        Read the {instrument.name}
        {fromWhere(at)}
      </button>
    );
  const nothing = reading?.value === null && !(takesNothing && reading.text === 'open');
  return (
    <div className="border-y-2 border-ink py-2" data-live={kind}>
      <p className="text-quiet">
        {instrument.name}, {at.name}
        {fromWhere(reading ?? at)}
      </p>
      <div className="flex items-end justify-between gap-3">
        <p className="reading text-48 leading-none" aria-live="off">
          {reading ? reading.text : '…'}
        </p>
        <button
          type="button"
          className="btn"
          data-take={kind}
          disabled={!reading || nothing}
          onClick={() => reading && onTake(reading)}
        >
          {take}
        </button>
      </div>
    </div>
  );
}
