import {
  byJack,
  endByEnd,
  isLevel,
  lengthIn,
  lengthText,
  poseInWords,
  samePose,
  shortName,
  travelWords,
  type Sentence,
} from '@iron-cradle/core';
import { Shape } from '../../../look/Shapes.tsx';
import { Band } from '../../../ui/Band.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { useState } from 'react';
import { useUnits } from '../../../app/units.ts';
import { PoseHead } from '../tank/PoseHead.tsx';
import { StepKey } from '../tank/StepKey.tsx';
import type { Descent } from './useDescent.ts';
import { useWords } from '../../../ui/Words.tsx';
import { capital } from '../../../ui/capital.ts';

/** The height, in mm and in the unit of the hand, where in the descent it stands, and a step up or down from it. */
export function StopHead({ descent }: { descent: Descent }) {
  const { stop, left, stopNumber, planned, state } = descent;
  const units = useUnits();
  const figure = (mm: number) => lengthIn(mm, units).figure;
  const travel = travelWords(state.vehicle);
  const word =
    stop.kind === 'start'
      ? 'Before it moves'
      : stop.kind === 'creep'
        ? 'Creep, hand and eye on the line'
        : stop.kind === 'out'
          ? 'Everything is off'
          : stop.kind === 'held'
            ? 'It holds'
            : `Stop ${stopNumber}`;
  return (
    <div className="tank-head border-b-2 border-ink pb-2" aria-live="polite">
      <PoseHead
        state={state}
        pose={stop.pose}
        above={
          <>
            {word}
            {left !== null && stop.kind !== 'held' ? `, ${left}` : ''}
          </>
        }
        keys={
          <>
            <StepKey way="nearer" travel={travel} onStep={() => descent.step(-10)} />
            <StepKey way="further" travel={travel} onStep={() => descent.step(10)} />
          </>
        }
      >
        {!samePose(planned.pose, stop.pose) && (
          <button type="button" className="link min-h-11 text-16" onClick={descent.plain}>
            plan says {poseInWords(planned.pose, state.vehicle.ends, units)}
          </button>
        )}
      </PoseHead>
      {stop.kind === 'stop' && !isLevel(stop.pose) && !samePose(stop.pose, stop.from) && (
        <p className="pt-1 text-quiet">
          {byJack(state.vehicle) ? 'One jack, one end' : 'One end'} at a time:{' '}
          {endByEnd(stop.from, stop.pose, state.vehicle.tiltLimit)
            .map((pose, i, list) => {
              const last = list[i - 1] ?? stop.from;
              return pose.f === last.f
                ? `${state.vehicle.ends[1]} ${figure(pose.r)}`
                : `${state.vehicle.ends[0]} ${figure(pose.f)}`;
            })
            .join(', ')}
          .
        </p>
      )}
      {stop.risk && (
        <p className="flex items-center gap-2 pt-2 font-semibold text-halt">
          <Shape outcome="bad" size={20} />
          {stop.risk.name} may hold from {lengthText(stop.risk.limit.lo, units)}: further than is safe.
        </p>
      )}
    </div>
  );
}

/** What a surprise changed, in words. */
export function Changed({ changed }: { changed: readonly Sentence[] }) {
  const words = useWords();
  return changed.length > 0 ? <Band>New plan: {changed.map(words).join('; ')}.</Band> : null;
}

const GIVES = [20, 40, 60, 100];

/** Nothing lets it go further: what holds, and the ways out of it. */
export function Held({ descent, onAhead }: { descent: Descent; onAhead: () => void }) {
  const { stop, state } = descent;
  const units = useUnits();
  const [more, setMore] = useState<number | null>(null);
  const travel = travelWords(state.vehicle);
  const first = stop.holders[0];
  if (!first) return null;
  const isLine = first.key.startsWith('line:');
  return (
    <section aria-label="what holds it" className="grid gap-3 py-3">
      <p className="narrow flex items-center gap-2 text-24">
        <Shape outcome="bad" size={28} label="halt" />
        {shortName(first.name)} holds it at {lengthText(first.limit.lo, units)}.
      </p>
      <button type="button" className="btn" data-action="help" onClick={onAhead}>
        What would let it go?
      </button>
      {isLine ? (
        <>
          <p className="text-quiet">
            Part it here if a hand gets to it. Or free it at another place (a frame clip, its far joint) and say how
            much more it lets.
          </p>
          <button
            type="button"
            className="btn"
            data-action="part-held"
            onClick={() => void descent.partHere(first.key)}
          >
            A hand reaches it: parted here
          </button>
          <p className="text-quiet">Freed elsewhere, mm more:</p>
          <div className="grid grid-cols-4 gap-3">
            {GIVES.map((mm) => (
              <button
                key={mm}
                type="button"
                className="btn reading"
                data-freed={mm}
                onClick={() => void descent.surprise({ what: 'freed', key: first.key, more: mm })}
              >
                {mm}
              </button>
            ))}
          </div>
          <QuantityField
            label="or measured"
            dimension="length"
            unit="mm"
            decimals={0}
            onRead={(v) => setMore(v ? Math.floor(v.lo * 1000) : null)}
            hint="two fingers, 45 mm, 1 3/4 in"
          />
          <button
            type="button"
            className="btn"
            disabled={!more || more < 1}
            onClick={() => more && void descent.surprise({ what: 'freed', key: first.key, more })}
          >
            {more ? `Freed, ${more} mm more` : 'Freed by the measured length'}
          </button>
        </>
      ) : (
        <>
          <p className="text-quiet">Take it out of the way, or {travel.home} the tank and look again.</p>
          <button type="button" className="btn" data-action="cleared" onClick={() => void descent.cleared(first.key)}>
            It is out of the way
          </button>
        </>
      )}
      {Math.max(state.pose.f, state.pose.r) > 0 && (
        <p className="text-quiet">
          Was it pulled past its slack? {capital(travel.home)}, inspect it, and enter it under “something holds”.
        </p>
      )}
    </section>
  );
}
