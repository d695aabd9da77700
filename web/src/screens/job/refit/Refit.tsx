import {
  bindings,
  fuelBack,
  gateBeforeBack,
  heightInWords,
  holdersAt,
  jointsDueHere,
  lengthIn,
  lengthText,
  nextUp,
  poseInWords,
  samePose,
  shortName,
  splitKey,
  travelWords,
  testStop,
  vapourFrom,
  wasLowered,
  type UpItem,
} from '@iron-cradle/core';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useMainUnit } from '../../../app/units.ts';
import { useHandsOff } from '../../../app/useHandsOff.ts';
import { say } from '../../../app/voice.ts';
import { screenChanged } from '../../../app/wetGlass.ts';
import { useKeys } from '../../../app/keys.tsx';
import { PaintedEnds } from '../../../drawings/ends/PaintedEnds.tsx';
import { Hang } from '../../../drawings/hang/Hang.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { Band } from '../../../ui/Band.tsx';
import { GateFirst, gateStation } from '../GateFirst.tsx';
import { GateRail } from '../GateRail.tsx';
import { OffSheet } from '../OffSheet.tsx';
import { PoseHead } from '../tank/PoseHead.tsx';
import { StepKey } from '../tank/StepKey.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { TagSheet } from '../TagSheet.tsx';
import { PhotoButton, Photos } from '../Photos.tsx';
import { HoseScreen } from '../hose/HoseScreen.tsx';
import { HosesRow } from '../hose/HosesRow.tsx';
import { NeckOrders } from './NeckOrders.tsx';
import { UpList } from './UpList.tsx';
import { TestStop } from './TestStop.tsx';
import { TorqueSheet } from './TorqueSheet.tsx';
import { capital } from '../../../ui/capital.ts';

/** Refit: stop by stop upwards, every joint made singly, first what is lost from reach next. */
export default function Refit() {
  const { state, jobId, enter } = useJob();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const [off, setOff] = useState(false);
  const [tag, setTag] = useState<string | null>(null);
  const [torque, setTorque] = useState<string | null>(null);
  const stop = useMemo(() => nextUp(state), [state]);
  const test = useMemo(() => testStop(state), [state]);
  const units = useMainUnit();
  const mustRaise = !samePose(state.pose, stop.pose);
  const to = poseInWords(stop.pose, state.vehicle.ends, units);
  const item = mustRaise ? undefined : stop.items[0];
  const rest = stop.items.length === 0 && !mustRaise;
  /** Lowered at all: a tank that was let down part-way comes up the same way. */
  const begun = wasLowered(state);
  const gateDue = begun && rest && stop.kind === 'test' && !state.gates[4].passed;
  const testDue = begun && rest && stop.kind === 'test' && !gateDue;
  const finished = rest && stop.kind === 'home';
  const make = async (it: UpItem) => {
    const body = { key: it.key, ...(it.way ? { way: it.way } : {}) };
    if (splitKey(it.key).kind === 'thing') {
      if (!(await enter('takenOut', { key: it.key }))) return;
    } else if (splitKey(it.key).kind === 'line') {
      if (!(await enter('made', body))) return;
    } else {
      if (!(await enter('restored', body))) return;
    }
    if (splitKey(it.key).kind === 'support') setTorque(it.key);
  };
  const travel = travelWords(state.vehicle);
  const goHome = capital(travel.home);
  const raise = () => enter('moved', { to: stop.pose, why: 'raised' });
  /** Gate 3 stands before it leaves the bench. */
  const first = mustRaise ? gateBeforeBack(state, stop.pose) : null;
  const go = () => {
    if (first) return void navigate(`/jobs/${jobId}/${gateStation[first]}`);
    if (!begun) return void navigate(`/jobs/${jobId}/drop`);
    if (finished) return void navigate(`/jobs/${jobId}/prove`);
    if (item) return void make(item);
    if (mustRaise) void raise();
  };
  const words = item
    ? `${item.name}${item.tag ? ` ${item.tag}` : ''}: ${item.hint}.`
    : mustRaise
      ? `${goHome} to ${heightInWords(stop.pose, { ends: state.vehicle.ends, travel }, units)}.`
      : '';
  // A joint is confirmed by a hand on the screen, singly; a key on a headset only says it again.
  useHandsOff({ words, next: () => say(words) });
  useEffect(screenChanged, [words]);
  const keys = useKeys([
    { key: 's', does: 'say what is next', run: () => say(words) },
    { key: 'Enter', does: `the next one is home, or ${travel.home}`, run: go },
    { key: 'o', does: 'what is off', run: () => setOff(true) },
    { key: '0–9', does: 'a tag’s number opens it', run: () => undefined },
  ]);
  const lower = {
    f: Math.min(state.vehicle.clear, state.pose.f + 10),
    r: Math.min(state.vehicle.clear, state.pose.r + 10),
  };
  const step = lengthIn(10, units).figure;
  /** It was put off until here: there is no later. */
  const put = state.items.some((i) => i.key === item?.key && i.state === 'deferred');
  const vapour = vapourFrom(state);
  const holders = holdersAt(bindings(state), state.pose, state.vehicle.length);
  if (search.has('hoses')) return <HoseScreen station="refit" onDone={() => setSearch({})} />;
  const word = stop.kind === 'test' ? 'Test stop' : stop.kind === 'home' ? 'Home' : `On the ${travel.wayBack}`;
  const offKey = (
    <button type="button" className="btn" data-action="off" onClick={() => setOff(true)}>
      <span>
        <span className="reading">
          {state.items.filter((i) => i.state !== 'closed' && i.state !== 'deviation').length}
        </span>{' '}
        off
      </span>
    </button>
  );
  return (
    <>
      <TankLayout
        station="refit"
        band={vapour ? <Band>{capital(vapour)}: device up on the cart, not in the pit; no charging</Band> : null}
        stage={(size) => (
          <Hang
            state={state}
            stop={{ pose: state.pose, holders, actions: [] }}
            ghost={mustRaise ? stop.pose : null}
            units={units}
            {...size}
          />
        )}
        now={
          gateDue ? (
            <GateRail
              gate={4}
              pass="Gate 4: key may be turned"
              onPassed={() => undefined}
              body={(judged) => (judged.item.id === 'joints' ? <StillOpen onTag={setTag} /> : null)}
            />
          ) : testDue ? (
            <TestStop />
          ) : (
            <div className="tank-now px-4 pt-1 wide:px-5">
              <div className="tank-head border-b-2 border-ink pb-2" aria-live="polite">
                <PoseHead
                  state={state}
                  pose={stop.pose}
                  above={
                    <>
                      {word}
                      {test !== null && stop.kind !== 'test'
                        ? `, test stop at ${poseInWords(test, state.vehicle.ends, units)}`
                        : ''}
                    </>
                  }
                  keys={
                    <StepKey
                      way="further"
                      travel={travel}
                      disabled={!begun}
                      onStep={() => void enter('moved', { to: lower, why: 'lowered' })}
                    />
                  }
                />
              </div>
              <div className="min-w-0">
                {!begun && (
                  <p className="py-3 text-quiet">
                    The tank has not been {travel.off} yet. Its {travel.wayBack} begins on the bench.
                  </p>
                )}
                {finished ? (
                  <p className="narrow py-4 text-24">
                    Everything that came off is back or put off. Now prove it, joint by joint.
                  </p>
                ) : (
                  <UpList items={stop.items} state={state} here={!mustRaise} onTag={setTag} />
                )}
                <NeckOrders />
                <Tipped />
                <HosesRow onHoses={() => setSearch({ hoses: '' })} />
                {stop.lostNext && !finished && (
                  <p className="py-2 text-quiet">
                    Lost from reach next: {shortName(stop.lostNext.name)}, {travel.nearer} than{' '}
                    {lengthText(stop.lostNext.by, units)}.
                  </p>
                )}
              </div>
            </div>
          )
        }
        act={
          !gateDue &&
          !testDue &&
          (first ? (
            // From a tablet on the tags hang on their wire.
            <div className="tank-keys mid:hidden">{offKey}</div>
          ) : (
            <>
              {item && splitKey(item.key).kind === 'line' && item.tag !== null && (
                <div className="act-ends">
                  <PaintedEnds tag={item.tag} capped={state.items.some((i) => i.key === item.key && i.capped)} />
                </div>
              )}
              {item && <Photos about={item.key} most={2} />}
              {item && (
                <p
                  className={`leading-tight mid:col-span-2 wide:col-span-1 ${item.sure ? 'act-said' : ''}`}
                  aria-live="polite"
                >
                  <span className="narrow block text-20">
                    {shortName(item.name)}
                    {item.tag ? ` ${item.tag}` : ''}: {item.hint}.
                  </span>
                  {item.by !== null && (
                    <span className="text-quiet">
                      {item.sure
                        ? `${capital(travel.nearer)} than ${lengthText(item.by, units)} no hand gets there.`
                        : `Only guessed: reach it here, or go ${step} ${travel.further} and try again.`}
                    </span>
                  )}
                </p>
              )}
              <div className="tank-keys">
                {item && <PhotoButton about={item.key} name={item.name} words />}
                <button
                  type="button"
                  className="btn"
                  disabled={!item || put || splitKey(item.key).kind === 'thing'}
                  onClick={() => item && void enter('deferred', { key: item.key, until: 'the tank is home' })}
                >
                  Can’t yet
                </button>
                {offKey}
              </div>
            </>
          ))
        }
        main={
          !gateDue &&
          !testDue &&
          (first ? (
            <GateFirst gate={first} onGate={go} onAllTheSame={() => void raise()} />
          ) : (
            <Strap data-action="up" onClick={go}>
              {!begun
                ? `Go to the ${travel.wayOff}`
                : finished
                  ? 'Prove it'
                  : item
                    ? `${item.tag ? `${item.tag} ` : ''}${shortName(item.name)} is ${splitKey(item.key).kind === 'thing' ? 'out' : 'home'}`
                    : `${goHome} to ${to}`}
            </Strap>
          ))
        }
      />
      <OffSheet open={off} onClose={() => setOff(false)} />
      <TagSheet item={tag} onClose={() => setTag(null)} />
      <TorqueSheet item={torque} onClose={() => setTorque(null)} />
      {keys}
    </>
  );
}

/** With fuel in it again: how far it may be tipped before that stands at an open port. */
function Tipped() {
  const { state } = useJob();
  const units = useMainUnit();
  const litresBack = state.fills.length;
  const { tilt, at } = useMemo(() => fuelBack(state, 0), [state]);
  if (litresBack === 0 || tilt === null || tilt >= state.vehicle.tiltLimit) return null;
  return (
    <p className="flex gap-2 py-2 font-semibold" data-tipped={tilt}>
      <Shape outcome="doubtful" size={20} />
      With what is in it, no more than {lengthText(tilt, units)} from end to end: {at}.
    </p>
  );
}

/** Joints that must be made before the key is turned and were put off: each a tap away. */
function StillOpen({ onTag }: { onTag: (key: string) => void }) {
  const { state } = useJob();
  return (
    <ul className="grid gap-3" aria-label="still open">
      {jointsDueHere(state).map((item) => (
        <li key={item.key}>
          <button type="button" className="btn w-full justify-start" onClick={() => onTag(item.key)}>
            <Tag number={item.tag} />
            {shortName(item.name)}
          </button>
        </li>
      ))}
    </ul>
  );
}
