import {
  answerTo,
  drainFacts,
  drainWays,
  hoursInWords,
  kitOf,
  WAY_OUT,
  type DrainWay,
  type Sentence,
  litres,
  rounded,
} from '@iron-cradle/core';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { useShop } from '../../../net/queries.ts';
import { Bursts } from './Bursts.tsx';
import { SeenSheet } from './SeenSheet.tsx';
import { Words } from '../../../ui/Words.tsx';
import { useWords } from '../../../ui/Words.tsx';

/** The ways to get it out, best first: minutes, what stays, why one cannot be here. The one in use says how. */
export function WaysOut({ onCounted }: { onCounted: (litres: number) => void }) {
  const { state, enter, answer } = useJob();
  const shop = useShop().data;
  const words = useWords();
  const [seeing, setSeeing] = useState(false);
  const ways = drainWays({
    vehicle: state.vehicle,
    aboard: state.fuel.aboard,
    complaint: state.complaint,
    facts: drainFacts(state, state.gates[1].passed !== null),
    ...(shop ? { kit: kitOf(shop.kit) } : {}),
  });
  const chosen = answerTo(state, WAY_OUT) ?? null;
  const running = state.waits.some((w) => w.what === 'draining' && !w.ended);
  return (
    <section aria-label="ways out">
      <h2 className="pb-2 text-20">How it comes out</h2>
      <ul className="ruled border-y border-rule">
        {ways.map((way) => (
          <li key={way.id}>
            <button
              type="button"
              data-way={way.id}
              aria-pressed={chosen === way.id}
              disabled={way.cannot !== null || state.signed !== null}
              className="flex min-h-16 w-full items-center gap-3 py-1.5 text-left"
              onClick={() => void answer(WAY_OUT, way.id)}
            >
              {way.cannot ? (
                <Shape outcome="bad" size={20} label="cannot be here" />
              ) : chosen === way.id ? (
                <Check size={22} aria-label="in use" />
              ) : (
                <Shape outcome="good" size={20} label="can be" />
              )}
              <span className="min-w-0 flex-1">
                <span className="narrow block text-20">{way.name}</span>
                <span className="block leading-tight text-quiet">
                  {way.cannot === null ? told(way, words) : <Words of={way.cannot} />}
                </span>
              </span>
            </button>
            {chosen === way.id && (
              <div className="pb-3 pl-8">
                <p>{way.how}.</p>
                <p className="text-quiet">{way.caution}. The service information for this vehicle comes first.</p>
                {way.id === 'ownPump' ? (
                  <Bursts onCounted={onCounted} />
                ) : (
                  way.id !== 'road' &&
                  !state.signed && (
                    <button
                      type="button"
                      className="btn mt-3 w-full"
                      data-action="draining"
                      onClick={() =>
                        void enter(
                          'wait',
                          running
                            ? { what: 'draining', state: 'end' }
                            : { what: 'draining', state: 'start', minutes: Math.max(1, Math.round(way.minutes.typ)) },
                        )
                      }
                    >
                      {running ? 'It has stopped' : 'It runs: go on with other work, in sight'}
                    </button>
                  )
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
      {!state.signed && (
        <button type="button" className="btn mt-3 w-full" data-action="seen" onClick={() => setSeeing(true)}>
          What was seen: cap, plug, hose
        </button>
      )}
      <SeenSheet open={seeing} onClose={() => setSeeing(false)} />
    </section>
  );
}

const told = (way: DrainWay, words: (sentence: Sentence) => string): string =>
  way.id === 'road'
    ? `no hands; ${words([rounded(litres, way.stays, 1)])} stay`
    : `${hoursInWords(way.minutes)}, hands on ${hoursInWords(way.hands)}; ${words([rounded(litres, way.stays, 1)])} stay`;
