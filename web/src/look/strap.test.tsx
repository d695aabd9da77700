import { fireEvent, render, screen } from '@testing-library/react';
import { Strap } from './Strap.tsx';

const submitted: string[] = [];
const form = (waitsFor?: string) =>
  render(
    <form
      onSubmit={(event) => {
        event.preventDefault();
        submitted.push(waitsFor ?? 'nothing');
      }}
    >
      <Strap type="submit" waitsFor={waitsFor}>
        It rests outside
      </Strap>
    </form>,
  );

test('a strap that waits for something submits no form; one that waits for nothing does', () => {
  form('cap every open end first');
  fireEvent.click(screen.getByRole('button', { name: /cap every open end first/ }));
  expect(submitted).toEqual([]);
  document.body.replaceChildren();
  form();
  fireEvent.click(screen.getByRole('button'));
  expect(submitted).toEqual(['nothing']);
});
