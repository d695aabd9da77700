import { act, render, screen } from '@testing-library/react';
import { startWetGlass } from '../app/wetGlass.ts';
import { Band } from './Band.tsx';

beforeAll(startWetGlass);

/** A finger’s tap: what the browser tells when it leaves the glass. */
const touch = (): void =>
  act(
    () =>
      void screen.getByRole('button').dispatchEvent(new PointerEvent('click', { pointerType: 'touch', bubbles: true })),
  );
const still = (ms: number) => act(() => new Promise((resolve) => setTimeout(resolve, ms)));

test('a band that comes or goes moves what stands under it: a finger on its way there meets nothing, a moment later it does', async () => {
  let met = 0;
  const page = (away: boolean) => (
    <>
      {away && <Band>Server is away.</Band>}
      <button onClick={() => (met += 1)}>Cut off</button>
    </>
  );
  const { rerender } = render(page(false));
  touch();
  expect(met).toBe(1);
  await still(450);
  for (const away of [true, false]) {
    met = 0;
    rerender(page(away));
    touch();
    expect(met).toBe(0);
    await still(450);
    touch();
    expect(met).toBe(1);
    await still(100);
  }
});
