import { TEST_STOP } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { TextField } from '../../../ui/TextField.tsx';

/** Key on at the test stop, while every top joint can still be seen and reached. */
export function TestStop() {
  const { state, enter } = useJob();
  const [words, setWords] = useState('');
  const on = state.keyTurns.some((turn) => turn.off === null);
  const tell = async (verdict: 'good' | 'doubtful' | 'bad', note: string) => {
    await enter('finding', {
      what: TEST_STOP,
      where: 'top of the tank',
      verdict,
      note: words.trim() ? `${note}: ${words.trim()}` : note,
    });
    await enter('keyOff', {});
  };
  if (!on)
    return (
      <div className="flex min-h-full flex-col">
        <div className="flex-1 p-4 wide:p-5">
          <h1 className="pb-2 text-32">Nobody underneath? Then the key.</h1>
          <p className="text-quiet">
            Tray under the joints, eyes covered, cold light at hand. Prime by switching the key on and off; never start
            it here. What was confirmed without pressure is asked again afterwards.
          </p>
        </div>
        <div className="border-t border-rule bg-sheet p-4 wide:px-5">
          <Strap data-action="key-on" onClick={() => void enter('keyOn', { where: 'test stop', primed: 'pump' })}>
            Key on
          </Strap>
        </div>
      </div>
    );
  return (
    <div className="flex min-h-full flex-col">
      <div className="flex-1 p-4 wide:p-5">
        <h1 className="pb-2 text-32">Key on: what do you see?</h1>
        <p className="pb-4 text-quiet">
          Prime by switching the key on and off. Does the gauge move? Look at every top joint with a cold light, tray
          under it, eyes covered. Higher up nobody sees them again.
        </p>
        <TextField
          label="In your words (may stay empty)"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          maxLength={300}
        />
        <div className="grid gap-3 pt-4">
          <button type="button" className="btn" onClick={() => void tell('bad', 'a joint is wet')}>
            A joint is wet
          </button>
          <button type="button" className="btn" onClick={() => void tell('doubtful', 'gauge does not move')}>
            Gauge does not move
          </button>
        </div>
      </div>
      <div className="border-t border-rule bg-sheet p-4 wide:px-5">
        <Strap data-action="test-good" onClick={() => void tell('good', 'gauge moves, joints dry')}>
          Gauge moves, joints dry
        </Strap>
      </div>
    </div>
  );
}
