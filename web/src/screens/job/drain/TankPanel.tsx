import {
  InputError,
  noTilt,
  profileAxis,
  roundTo,
  spillTilt,
  staysAboard,
  tiltReach,
  tiltSentence,
  witnessLitres,
  type Axis,
  type Tilt,
  litres,
  rounded,
} from '@iron-cradle/core';
import { useMemo, useState } from 'react';
import { TankSection } from '../../../drawings/tank/TankSection.tsx';
import { Shape } from '../../../look/Shapes.tsx';
import { useJob } from '../../../log/useJob.ts';
import { useSize } from '../../../ui/useSize.ts';
import { useBestTilt } from '../../../workers/useBestTilt.ts';
import { ShapeSheet } from './ShapeSheet.tsx';
import { TiltKeys } from './TiltKeys.tsx';
import { useWords, Words } from '../../../ui/Words.tsx';

/** The tank itself: what is in it, what stays in it, the tilt that frees most; its level can be dragged to what was seen. */
export function TankPanel() {
  const words = useWords();
  const { state, enter } = useJob();
  const { vehicle, fuel } = state;
  const [box, size] = useSize<HTMLDivElement>();
  const [tilt, setTilt] = useState<Tilt>(noTilt);
  const [axis, setAxis] = useState<Axis | null>(null);
  const [seen, setSeen] = useState<number | null>(null);
  const [shaping, setShaping] = useState(false);
  const stays = staysAboard(vehicle, fuel.aboard, tilt);
  const flat = staysAboard(vehicle, fuel.aboard);
  const behind = flat.pockets.filter((p) => p.kind === 'sill' && p.litres.hi > 0.2);
  const search = useBestTilt(vehicle, behind.length > 0);
  const sentence = search.answer ? tiltSentence(vehicle, search.answer) : null;
  const table = vehicle.tank.shape.kind === 'table';
  const reach = tiltReach(vehicle);
  const spill = useMemo(
    () =>
      spillTilt(
        vehicle,
        fuel.aboard.hi,
        vehicle.connections.filter((c) => c.wetWhenOpen),
      ),
    [vehicle, fuel.aboard.hi],
  );
  const main = profileAxis(vehicle.tank.shape);
  const view = axis ?? main;
  const told = (mm: number): string => {
    try {
      return `${words([rounded(litres, witnessLitres(vehicle, 'levelSeen', mm), 1)])} by the shape`;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return `expected ${error.expected}`;
    }
  };
  return (
    <section aria-label="the tank">
      <p className="text-quiet">
        Tank{view === 'x' ? `, ${vehicle.ends[0]} on the left` : ', seen from the end'}
        {tilt.x !== 0 ? `, ${roundTo(Math.abs(tilt.x), 0.5)}° down to the ${vehicle.ends[tilt.x > 0 ? 1 : 0]}` : ''}
        {tilt.y !== 0 ? `, ${roundTo(Math.abs(tilt.y), 0.5)}° down to the ${tilt.y > 0 ? 'far' : 'near'} side` : ''}
      </p>
      <div ref={box} className="min-w-0 overflow-hidden">
        {size.width > 0 && (
          <TankSection
            vehicle={vehicle}
            aboard={fuel.aboard}
            tilt={tilt}
            axis={view}
            width={Math.min(820, size.width)}
            {...(state.signed ? {} : { seen, onSeen: setSeen })}
          />
        )}
      </div>
      {seen !== null && (
        <div className="flex flex-wrap items-center gap-3 border-y-2 border-ink py-2" data-seen={seen}>
          <p className="min-w-40 flex-1">
            Level at <span className="reading font-semibold">{seen} mm</span>: {told(seen)}
          </p>
          <button
            type="button"
            className="btn"
            data-action="enter-seen"
            onClick={() => void enter('fuelWitness', { witness: 'levelSeen', reading: seen }).then(() => setSeen(null))}
          >
            Seen there
          </button>
          <button type="button" className="btn" onClick={() => setSeen(null)}>
            Leave it
          </button>
        </div>
      )}
      {state.asked && !state.signed && (
        <p className="flex items-start gap-2 pt-2 font-semibold" data-asks="tank">
          <Shape outcome="unknown" size={24} />
          <Words of={state.asked.text} />
        </p>
      )}
      <div className="flex flex-wrap gap-3 pt-2">
        {!state.signed && (
          <button type="button" className="btn" data-action="shape" onClick={() => setShaping(true)}>
            Shape of the tank
          </button>
        )}
        {!table && (
          <button
            type="button"
            className="btn"
            onClick={() => setAxis(view === 'x' ? 'y' : 'x')}
            aria-pressed={view !== main}
          >
            {view === 'x' ? 'From the end' : 'From the side'}
          </button>
        )}
      </div>
      {behind.map((pocket) => (
        <div key={pocket.where} className="flex flex-wrap items-center gap-x-5 gap-y-2 py-2" data-stays={pocket.where}>
          <div className="min-w-56 flex-1">
            <p className="narrow text-20">
              {pocket.litres.lo < 0.5
                ? `Up to ${roundTo(pocket.litres.hi, 0.5)} L may`
                : `${words([rounded(litres, pocket.litres, 0.5)])}`}{' '}
              stay {pocket.where}
            </p>
            <p className="text-quiet" aria-live="polite">
              {(sentence !== null && <Words of={sentence} />) ||
                (search.progress !== null
                  ? `looking for the tilt that frees it, ${Math.round(search.progress * 100)} %`
                  : search.answer
                    ? 'no tilt within reach of the jacks frees enough of it'
                    : (search.problem ?? 'the search was stopped'))}
            </p>
          </div>
          <div className="flex gap-3">
            {search.answer && sentence && (
              <button
                type="button"
                className="btn"
                data-action="best-tilt"
                onClick={() => setTilt(tilt.x === 0 && tilt.y === 0 ? search.answer!.tilt : noTilt)}
              >
                {tilt.x === 0 && tilt.y === 0 ? 'Show it tipped' : 'Show it level'}
              </button>
            )}
            {search.progress !== null && (
              <button type="button" className="btn" onClick={search.stop}>
                Stop looking
              </button>
            )}
            {search.progress === null && !search.answer && (
              <button type="button" className="btn" onClick={search.again}>
                Look for it
              </button>
            )}
          </div>
        </div>
      ))}
      {(tilt.x !== 0 || tilt.y !== 0) && stays.litres.hi !== flat.litres.hi && (
        <p className="py-1">
          Tipped like this <Words of={[rounded(litres, stays.litres, 0.5)]} /> stay; level{' '}
          <Words of={[rounded(litres, flat.litres, 0.5)]} />.
        </p>
      )}
      {spill && (
        <p className="pt-2 text-quiet">
          With <Words of={[rounded(litres, { lo: fuel.aboard.hi, hi: fuel.aboard.hi }, 1)]} /> in it fuel stands at the{' '}
          {spill.port} from {Math.floor(spill.degrees)}° down to the {spill.end} on.
        </p>
      )}
      {!table && <TiltKeys tilt={tilt} reach={reach} ends={vehicle.ends} onTilt={setTilt} />}
      {shaping && (
        <ShapeSheet
          vehicle={state.vehicle}
          onClose={() => setShaping(false)}
          onKeep={async (body) => void (await enter('tankShape', body))}
        />
      )}
    </section>
  );
}
