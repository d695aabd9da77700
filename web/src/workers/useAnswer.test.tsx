import { act, renderHook } from '@testing-library/react';
import { useAnswer, type Told } from './useAnswer.ts';

/** A worker that tells only what it is told to. */
class Stub {
  static made: Stub[] = [];
  asked: unknown;
  ended = false;
  onmessage: ((event: { data: Told<number> }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor() {
    Stub.made.push(this);
  }
  postMessage = (ask: unknown) => void (this.asked = ask);
  terminate = () => void (this.ended = true);
  tell = (data: Told<number>) => act(() => this.onmessage?.({ data }));
}
const open = (key: string | null = 'a') =>
  renderHook(
    ({ k }) =>
      useAnswer<string, number>(
        () => new Stub() as unknown as Worker,
        k,
        () => `ask ${k}`,
      ),
    {
      initialProps: { k: key },
    },
  );
const last = () => Stub.made.at(-1)!;
beforeEach(() => void (Stub.made = []));

describe('a long search in a worker', () => {
  test('shows how far it is, then its answer', () => {
    const { result } = open();
    expect(last().asked).toBe('ask a');
    expect(result.current).toMatchObject({ answer: null, progress: 0 });
    last().tell({ progress: 0.5 });
    expect(result.current.progress).toBe(0.5);
    last().tell({ answer: 42 });
    expect(result.current).toMatchObject({ answer: 42, progress: null, problem: null });
  });

  test('can be stopped, and is asked anew only by another question', () => {
    const { result, rerender } = open();
    last().tell({ progress: 0.2 });
    act(() => result.current.stop());
    expect(last().ended).toBe(true);
    expect(result.current.progress).toBeNull();
    rerender({ k: 'a' });
    expect(Stub.made).toHaveLength(1);
    rerender({ k: 'b' });
    expect(Stub.made).toHaveLength(2);
    expect(last().asked).toBe('ask b');
  });

  test('a new question ends the old one; what was told stands until it tells anew', () => {
    const { result, rerender } = open();
    const first = last();
    first.tell({ answer: 1 });
    rerender({ k: 'b' });
    expect(first.ended).toBe(true);
    expect(result.current.answer).toBe(1);
    last().tell({ answer: 2 });
    expect(result.current.answer).toBe(2);
  });

  test('what failed is said, and so is a worker that does not start', () => {
    const { result } = open();
    last().tell({ problem: 'clear: expected a multiple of 5' });
    expect(result.current).toMatchObject({ answer: null, problem: 'clear: expected a multiple of 5' });
    act(() => last().onerror?.());
    expect(result.current.problem).toMatch(/could not be started/);
  });

  test('nothing is asked while nothing is wanted, and leaving ends it', () => {
    const { rerender, unmount } = open(null);
    expect(Stub.made).toEqual([]);
    rerender({ k: 'a' });
    unmount();
    expect(last().ended).toBe(true);
  });
});
