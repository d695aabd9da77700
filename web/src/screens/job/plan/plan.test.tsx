import { screen } from '@testing-library/react';
import { act } from 'react';
import { startWetGlass } from '../../../app/wetGlass.ts';
import { aMoment, atJob } from '../../../testing/atJob.tsx';
import Plan from './Plan.tsx';

declare const stopClock: () => void;
beforeAll(startWetGlass);

const touch = (name: string): void =>
  act(
    () =>
      void screen
        .getByRole('button', { name })
        .dispatchEvent(new PointerEvent('click', { pointerType: 'touch', bubbles: true })),
  );

test('rows of the call that come late move the keys: a finger on its way to one meets nothing, a moment later it does', async () => {
  stopClock();
  atJob(<Plan />);
  await screen.findByText('Could stop you', {}, { interval: 20 });
  touch('Record');
  expect(screen.queryByRole('dialog')).toBeNull();
  aMoment();
  touch('Record');
  expect(screen.getByRole('dialog').textContent).toContain('The complaint’s own test');
});
