import { fireEvent, render } from '@testing-library/react';
import { startHeldEnter } from './heldEnter.ts';
import { useKeys } from './keys.tsx';

beforeAll(startHeldEnter);

const done: string[] = [];
beforeEach(() => void (done.length = 0));

function Screen() {
  const keys = useKeys([
    { key: 'PageDown', does: 'all as said', run: () => done.push('as said') },
    { key: 'Backspace', does: 'take back the newest', run: () => done.push('taken back') },
    { key: 'ArrowDown', does: '10 mm lower', run: () => done.push('lower'), held: true },
  ]);
  return (
    <>
      <button>as said</button>
      <textarea aria-label="note" />
      {keys}
    </>
  );
}
/** A key held down: the first press, and two that repeat it. Did the browser keep the last one? */
const hold = (at: Element, key: string) =>
  [false, true, true].map((repeat) => fireEvent.keyDown(at, { key, repeat })).at(-1);

describe('a key that is held down', () => {
  test('enters once: a foot rests on the pedal, a hand on the key that takes back', () => {
    render(<Screen />);
    for (const key of ['PageDown', 'Backspace']) hold(document.body, key);
    expect(done).toEqual(['as said', 'taken back']);
  });

  test('moves on where it only moves', () => {
    render(<Screen />);
    hold(document.body, 'ArrowDown');
    expect(done).toEqual(['lower', 'lower', 'lower']);
  });

  test('Enter presses what has the focus once; in a text of several lines it begins lines', () => {
    const { getByRole } = render(<Screen />);
    expect(hold(getByRole('button'), 'Enter')).toBe(false);
    expect(hold(getByRole('textbox'), 'Enter')).toBe(true);
  });
});
