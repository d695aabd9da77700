import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { screenChanged } from '../../../app/wetGlass.ts';
import { useHandsOff } from '../../../app/useHandsOff.ts';
import { useUnits } from '../../../app/units.ts';
import { canSpeak, say, tone } from '../../../app/voice.ts';
import { useKeys } from '../../../app/keys.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { Band } from '../../../ui/Band.tsx';
import { descended, gatesBefore, heightInWords, spokenStop, travelWords } from '@iron-cradle/core';
import { LineSheet } from '../LineFacts.tsx';
import { useTakeBack } from '../useTakeBack.ts';
import { OffSheet } from '../OffSheet.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { Stage } from './Stage.tsx';
import { StepByStep } from './StepByStep.tsx';
import { Changed, Held, StopHead } from './NowParts.tsx';
import { AheadSheet } from './AheadSheet.tsx';
import { DoesNotFit } from './DoesNotFit.tsx';
import { GateFirst, gateStation } from '../GateFirst.tsx';
import { SomethingHolds } from './SomethingHolds.tsx';
import { StopLadder } from './StopLadder.tsx';
import { doneOf, strapWords } from './useBundle.ts';
import { useDescent } from './useDescent.ts';
import { capital } from '../../../ui/capital.ts';

/** What one key moves the height that is tried, mm. */
const BY = { nearer: -10, further: 10 } as const;

/** Drop: a height the tank stops at, with everything to do there, said once; then one tap. */
export default function Drop() {
  const descent = useDescent();
  const { jobId, enter } = useJob();
  const navigate = useNavigate();
  const [holding, setHolding] = useState(false);
  const [off, setOff] = useState(false);
  const [line, setLine] = useState<string | null>(null);
  const [ahead, setAhead] = useState(false);
  const { state, stop, bundle, vapour } = descent;
  const units = useUnits();
  const down = descended(state);
  const travel = travelWords(state.vehicle);
  /** A tank that is lifted out goes up by the arrow that points up. */
  const [onUp, onDown] = travel.beside === 'up' ? (['further', 'nearer'] as const) : (['nearer', 'further'] as const);
  const reached = state.out ? `The tank is ${travel.off}.` : 'Its top is where it is worked on.';
  const undo = useTakeBack();
  const words = down
    ? reached
    : spokenStop({
        height: heightInWords(stop.pose, { ends: state.vehicle.ends, travel }, units),
        actions: stop.actions,
        tags: descent.tags,
        look: stop.kind === 'stop' || stop.kind === 'creep',
      });
  const gate = down ? undefined : gatesBefore(state, { actions: doneOf(stop, bundle), pose: stop.pose })[0];
  const go = () =>
    down
      ? void navigate(`/jobs/${jobId}/bench`)
      : gate
        ? void navigate(`/jobs/${jobId}/${gateStation[gate]}`)
        : void descent.confirm();
  const keys = useKeys([
    { key: 'Enter', does: 'all as said, or on to the bench', run: go },
    { key: 'PageDown', shown: 'pedal', does: 'a pedal’s forward: all as said', run: () => go() },
    { key: 'PageUp', shown: 'pedal back', does: 'say it again', run: () => say(words) },
    { key: 's', does: 'say the stop', run: () => say(words) },
    { key: 'h', does: 'something holds', run: () => setHolding(true) },
    { key: 'ArrowUp', shown: 'arrow up', does: `10 mm ${travel[onUp]}`, run: () => descent.step(BY[onUp]), held: true },
    {
      key: 'ArrowDown',
      shown: 'arrow down',
      does: `10 mm ${travel[onDown]}`,
      run: () => descent.step(BY[onDown]),
      held: true,
    },
    { key: 'w', does: 'what lies ahead, and what if', run: () => setAhead(true) },
    { key: 'o', does: 'what is off', run: () => setOff(true) },
    {
      key: 'Backspace',
      shown: 'back',
      does: 'take back the newest entry',
      run: () => undo && void enter('takeBack', { entry: undo.entry }),
    },
    { key: '0–9', does: 'a tag’s number opens it', run: () => undefined },
  ]);
  useHandsOff({ words, next: go });
  const held = stop.kind === 'held';
  // A height that is tried with the ± keys is no new stop: quick taps there are meant.
  const { newest } = state;
  useEffect(() => {
    screenChanged();
    tone(held ? 'halt' : 'done');
  }, [newest, held]);
  const openCount = state.items.filter((i) => i.state !== 'closed').length;
  const band = (
    <>
      {vapour && <Band>{capital(vapour)}: device up on the cart, not in the pit; no charging</Band>}
      <DoesNotFit onLine={setLine} />
      <Changed changed={descent.changed} />
    </>
  );
  return (
    <>
      <TankLayout
        station="drop"
        band={band}
        stage={(size) => <Stage descent={descent} onLine={setLine} {...size} />}
        now={
          <div className="tank-now px-4 pt-1 wide:px-5">
            {down ? (
              <div className="py-4">
                <h1 className="text-32">{reached}</h1>
                <p className="pt-2 text-quiet">
                  {state.out
                    ? 'Slide it out, tie up what hangs, cap what is open, and clean the top before any opening.'
                    : 'It stays on the jack: nobody under it. Cap what is open, and clean the top before any opening.'}
                </p>
              </div>
            ) : (
              <>
                <StopHead descent={descent} />
                <div className="min-w-0">
                  {held && <Held descent={descent} onAhead={() => setAhead(true)} />}
                  {!held && <StopLadder descent={descent} onLine={setLine} />}
                  <StepByStep descent={descent} />
                </div>
              </>
            )}
          </div>
        }
        act={
          <>
            {!down && (
              <div className="tank-keys">
                {canSpeak() && (
                  <button type="button" className="btn" data-action="say" onClick={() => say(words)}>
                    Say it
                  </button>
                )}
                <button type="button" className="btn" data-action="ahead" onClick={() => setAhead(true)}>
                  Ahead
                </button>
                <button type="button" className="btn" data-action="off" onClick={() => setOff(true)}>
                  <span>
                    <span className="reading">{openCount}</span> off
                  </span>
                </button>
                <button type="button" className="btn btn-halt" data-action="holds" onClick={() => setHolding(true)}>
                  {stop.kind === 'creep' ? 'Taut, or it holds' : 'Something holds'}
                </button>
              </div>
            )}
          </>
        }
        main={
          (!held || down) &&
          (gate ? (
            <GateFirst gate={gate} onGate={go} onAllTheSame={() => void descent.confirm()} />
          ) : (
            <Strap data-action="as-said" onClick={go}>
              {down ? 'On to the bench' : strapWords(stop, bundle, travel)}
            </Strap>
          ))
        }
      />
      <SomethingHolds open={holding} onClose={() => setHolding(false)} descent={descent} />
      <AheadSheet open={ahead} onClose={() => setAhead(false)} />
      <LineSheet about={line} onClose={() => setLine(null)} />
      <OffSheet open={off} onClose={() => setOff(false)} />
      {keys}
    </>
  );
}
