import { act, renderHook, waitFor } from '@testing-library/react';
import type { Lent } from './core.ts';
import type { CoreApi, OnProgress } from './coreApi.ts';
import { useAnswer, type Ask } from './useAnswer.ts';

/** A worker that answers only when it is told to. */
class Stub implements Lent {
  static made: Stub[] = [];
  api = {} as CoreApi;
  broken: Promise<never>;
  fail!: (why: Error) => void;
  returned = false;
  ended = false;
  constructor() {
    this.broken = new Promise((_, fail) => (this.fail = fail));
    this.broken.catch(() => undefined);
    Stub.made.push(this);
  }
  giveBack = () => void (this.returned = true);
  end = () => void (this.ended = true);
}

interface Open {
  name: string;
  progress: OnProgress;
  answer: (n: number) => void;
  fail: (why: Error) => void;
}
const asked: Open[] = [];
const question =
  (name: string): Ask<number> =>
  (_, progress) =>
    new Promise((answer, fail) => asked.push({ name, progress, answer, fail }));
const a = question('a');
const b = question('b');
const open = (ask: Ask<number> | null = a) =>
  renderHook(({ q }) => useAnswer<number>(q, () => new Stub()), { initialProps: { q: ask } });
const last = () => Stub.made.at(-1)!;
const tell = (n: number) => act(() => Promise.resolve(asked.at(-1)!.answer(n)));
beforeEach(() => {
  Stub.made = [];
  asked.length = 0;
});

describe('a long search in a worker', () => {
  test('shows how far it is, then its answer; the worker may serve the next', async () => {
    const { result } = open();
    expect(result.current).toMatchObject({ answer: null, progress: 0 });
    act(() => asked[0]!.progress(0.5));
    expect(result.current.progress).toBe(0.5);
    await tell(42);
    expect(result.current).toMatchObject({ answer: 42, fresh: true, progress: null, problem: null });
    expect(last()).toMatchObject({ returned: true, ended: false });
  });

  test('can be stopped in the middle of its work, and is asked anew only by another question', () => {
    const { result, rerender } = open();
    act(() => asked[0]!.progress(0.2));
    act(() => result.current.stop());
    expect(last()).toMatchObject({ ended: true, returned: false });
    expect(result.current.progress).toBeNull();
    rerender({ q: a });
    expect(Stub.made).toHaveLength(1);
    rerender({ q: b });
    expect(asked.map((q) => q.name)).toEqual(['a', 'b']);
  });

  test('stopped, it is asked once more by hand', () => {
    const { result } = open();
    act(() => result.current.stop());
    act(() => result.current.again());
    expect(asked.map((q) => q.name)).toEqual(['a', 'a']);
  });

  test('a new question ends the old one; what was told stands until it tells anew, and is not fresh', async () => {
    const { result, rerender } = open();
    await tell(1);
    rerender({ q: b });
    expect(result.current).toMatchObject({ answer: 1, fresh: false, progress: 0 });
    const late = asked.at(-1)!;
    rerender({ q: a });
    expect(Stub.made.at(-2)!.ended).toBe(true);
    await act(() => Promise.resolve(late.answer(9)));
    expect(result.current.answer).toBe(1);
    await tell(2);
    expect(result.current).toMatchObject({ answer: 2, fresh: true });
  });

  test('what failed is said, and so is a worker that does not start', async () => {
    const { result, rerender } = open();
    await act(() => Promise.resolve(asked[0]!.fail(new Error('clear: expected a multiple of 5'))));
    expect(result.current).toMatchObject({ answer: null, problem: 'clear: expected a multiple of 5' });
    expect(last().ended).toBe(true);
    rerender({ q: b });
    act(() => last().fail(new Error('The search could not be started on this device.')));
    await waitFor(() => expect(result.current.problem).toMatch(/could not be started/));
  });

  test('nothing is asked while nothing is wanted, and leaving ends it', () => {
    const { rerender, unmount } = open(null);
    expect(Stub.made).toEqual([]);
    rerender({ q: a });
    unmount();
    expect(last().ended).toBe(true);
  });
});
