import { BURST, BURSTS, burstClock, burstLitres, rangeInWords, REST } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { LiveReading } from '../../../ui/LiveReading.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { useNow } from '../../../ui/useNow.ts';

/** Its own pump in bursts: counts, rests and sums. The clock is a wait in the log, so it goes on over a reload. */
export function Bursts({ onCounted }: { onCounted: (litres: number) => void }) {
  const { state, enter } = useJob();
  const running = state.waits.find((w) => w.what === BURSTS && !w.ended);
  const last = [...state.waits].reverse().find((w) => w.what === BURSTS && w.ended);
  const now = useNow(running ? 200 : null);
  const seconds = (w: { started: string; ended: string | null }) =>
    (Date.parse(w.ended ?? new Date(now).toISOString()) - Date.parse(w.started)) / 1000;
  const ranDry = async () => {
    if (!(await enter('wait', { what: BURSTS, state: 'end' }))) return;
    if (!(await enter('fuelWitness', { witness: 'bursts', reading: Math.round(clock.pumped) }))) return;
    if (!(await enter('fuelWitness', { witness: 'ranDry' }))) return;
  };
  const clock = burstClock(running ? seconds(running) : 0);
  const counted = !running && last ? burstClock(seconds(last)) : null;
  const length = clock.phase === 'burst' ? BURST : REST;
  return (
    <div className="grid gap-3 pt-3" aria-live="off">
      {running && (
        <>
          <p className="text-quiet">
            {clock.phase === 'burst' ? `Burst ${clock.done + 1}` : `Rest after burst ${clock.done}`}
          </p>
          <p className="reading text-64 leading-none" data-phase={clock.phase}>
            {Math.floor(clock.into)}
            <span className="pl-3 text-20">
              s of {length}
              {clock.phase === 'burst' ? ', relay on' : ', relay off'}
            </span>
          </p>
          <div className="h-3.5 bg-well" aria-hidden>
            <div className="h-full bg-work" style={{ width: `${(clock.into / length) * 100}%` }} />
          </div>
          <p>
            <span className="reading">{rangeInWords(burstLitres(clock.pumped), 0.5)}</span> L by the count. It misses
            some: read the can.
          </p>
        </>
      )}
      {counted && (
        <p>
          {counted.done} {counted.done === 1 ? 'burst' : 'bursts'}, {rangeInWords(burstLitres(counted.pumped), 0.5)} L
          by the count. Enter what the can reads below.
        </p>
      )}
      {running && (
        <LiveReading
          kind="flowCounter"
          channel="litres"
          take="Into a can"
          onTake={(r) => r.value !== null && onCounted(r.value)}
        />
      )}
      {!running && <p className="text-quiet">Commanded by the scan tool, or at the relay; battery on.</p>}
      {!state.signed && (
        <Strap
          data-action="bursts"
          onClick={() => void enter('wait', { what: BURSTS, state: running ? 'end' : 'start' })}
        >
          {running ? 'Stop the bursts' : 'Start the bursts'}
        </Strap>
      )}
      {running && (
        <button type="button" className="btn" onClick={() => void ranDry()}>
          Pump runs dry
        </button>
      )}
    </div>
  );
}
