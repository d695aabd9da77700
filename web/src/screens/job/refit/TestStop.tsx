import {
  isElectric,
  jointsToSee,
  judgeProofFuel,
  nameOf,
  pumpOf,
  TEST_STOP,
  type PumpKind,
  type Verdict,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { TextField } from '../../../ui/TextField.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** How the fuel comes forward, by what moves it: only an electric pump is primed by the key. */
const primings: Record<'pump' | 'crank' | 'hand' | 'none', { act: string; how: string }> = {
  pump: { act: 'Key on', how: 'Prime by switching the key on and off; never start it here.' },
  crank: {
    act: 'Crank it',
    how: 'The pump sits on the engine: coil off, crank it or use a hand primer; never start it here.',
  },
  hand: { act: 'Prime by hand', how: 'Use the hand primer until it is hard; never start it here.' },
  none: { act: 'Let it run down', how: 'It runs down by itself: open the tap, look, and see that the gauge moves.' },
};
const primedBy = (pump: PumpKind): keyof typeof primings =>
  isElectric(pump) ? 'pump' : pump === 'mechanical' ? 'crank' : pump === 'dieselSuction' ? 'hand' : 'none';

/** Key on at the test stop, while every top joint can still be seen and reached. */
export function TestStop() {
  const { state, enter } = useJob();
  const [words, setWords] = useState('');
  const [wet, setWet] = useState(false);
  const on = state.keyTurns.some((turn) => turn.off === null);
  const primed = primedBy(pumpOf(state.vehicle));
  // Dry proves a joint only with fuel behind it.
  const fuel: Verdict = judgeProofFuel(state);
  const proves = fuel.outcome === 'good';
  const last = state.findings.findLast((f) => f.what === TEST_STOP);
  const tell = async (
    verdict: 'good' | 'doubtful' | 'bad',
    { note, where = 'top of the tank' }: { note: string; where?: string },
  ) => {
    if (
      !(await enter('finding', {
        what: TEST_STOP,
        where,
        verdict,
        note: words.trim() ? `${note}: ${words.trim()}` : note,
      }))
    )
      return;
    if (!(await enter('keyOff', {}))) return;
  };
  const isWet = async (key: string) => {
    setWet(false);
    if (!(await enter('jointSeen', { key, seen: 'weeps', checks: ['wiped', 'wet'] }))) return;
    await tell('bad', { note: 'it is wet', where: nameOf(state, key) });
  };
  if (!on)
    return (
      <div className="flex min-h-full flex-col">
        <div className="flex-1 p-4 wide:p-5">
          <h1 className="pb-2 text-32">Nobody underneath? Then the key.</h1>
          {last?.verdict === 'bad' && (
            <p className="flex items-start gap-2 pb-3 font-semibold text-halt" data-wet={last.where}>
              <Shape outcome="bad" size={20} />
              {last.where} was wet: pressure off, make it again, wipe it, then look again. Until then it stays here.
            </p>
          )}
          <p className="pb-3 text-quiet">
            Tray under the joints, eyes covered, cold light at hand. {primings[primed].how} What was confirmed without
            pressure is asked again afterwards.
          </p>
          <VerdictView verdict={fuel} />
        </div>
        <div className="border-t border-rule bg-sheet p-4 wide:px-5">
          <Strap data-action="key-on" onClick={() => void enter('keyOn', { where: 'test stop', primed })}>
            {primings[primed].act}
          </Strap>
        </div>
      </div>
    );
  return (
    <div className="flex min-h-full flex-col">
      <div className="flex-1 p-4 wide:p-5">
        <h1 className="pb-2 text-32">{primings[primed].act}: what do you see?</h1>
        <p className="pb-4 text-quiet">
          {primings[primed].how} Does the gauge move? Look at every top joint with a cold light, tray under it, eyes
          covered. From here on nobody sees them again.
        </p>
        <TextField
          label="In your words (may stay empty)"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          maxLength={300}
        />
        <div className="grid gap-3 pt-4">
          <button type="button" className="btn" data-action="wet" onClick={() => setWet(true)}>
            A joint is wet
          </button>
          <button type="button" className="btn" onClick={() => void tell('doubtful', { note: 'gauge does not move' })}>
            Gauge does not move
          </button>
        </div>
      </div>
      <div className="border-t border-rule bg-sheet p-4 wide:px-5">
        <Strap
          data-action="test-good"
          onClick={() =>
            void (proves
              ? tell('good', { note: 'gauge moves, joints dry' })
              : tell('doubtful', { note: 'gauge moves; no joint proved, too little fuel behind them' }))
          }
        >
          {proves ? 'Gauge moves, joints dry' : 'Gauge moves; no joint proved'}
        </Strap>
      </div>
      <Sheet open={wet} onClose={() => setWet(false)} title="Which joint is wet?">
        <ul className="ruled border-y border-rule">
          {jointsToSee(state).map((key) => (
            <li key={key}>
              <button
                type="button"
                className="flex min-h-16 w-full items-center gap-3 text-left text-20"
                data-wet-joint={key}
                onClick={() => void isWet(key)}
              >
                <Shape outcome="bad" size={20} />
                {nameOf(state, key)}
              </button>
            </li>
          ))}
        </ul>
      </Sheet>
    </div>
  );
}
