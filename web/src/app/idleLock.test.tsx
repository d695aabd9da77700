import { jest } from '@jest/globals';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { forgetPin, holdPin, isPinHere } from '../log/pinHere.ts';
import { IdleLock } from './IdleLock.tsx';

const ines = { id: 'ines', name: 'Ines', role: 'technician' as const, units: 'metric' as const };
const MINUTE = 60_000;

type Asked = { method: string; path: string };
let asked: Asked[] = [];
let answers: Record<string, () => Promise<Response>>;
const done = () => Promise.resolve(new Response(null, { status: 204 }));
const wrong = () =>
  Promise.resolve(
    new Response(JSON.stringify({ title: 'Wrong PIN', detail: 'Wrong PIN. 4 tries left before a pause.' }), {
      status: 401,
      headers: { 'Content-Type': 'application/problem+json' },
    }),
  );
const away = () => Promise.reject(new TypeError('away'));

beforeEach(() => {
  jest.useFakeTimers();
  asked = [];
  answers = { 'PUT /api/session/lock': done, 'POST /api/session/unlock': done };
  globalThis.fetch = ((path: string, { method }: { method: string }) => {
    asked.push({ method, path });
    return (answers[`${method} ${path}`] ?? done)();
  }) as typeof fetch;
  forgetPin();
});
afterEach(() => jest.useRealTimers());

function Page({ after }: { after: number | null }) {
  const me = useQuery<{ locked: boolean }>({
    queryKey: ['me'],
    queryFn: () => ({ locked: false }),
    staleTime: Infinity,
  });
  return (
    <>
      <input aria-label="a note" />
      <IdleLock me={ines} locked={me.data?.locked ?? false} after={after} />
    </>
  );
}
const open = (after: number | null) => {
  const client = new QueryClient();
  client.setQueryData(['me'], { locked: false });
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <Page after={after} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
};
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const locked = () => screen.queryByText('Ines, your PIN') !== null;
const type = async (pin: string) => {
  for (const digit of pin) fireEvent.click(screen.getByRole('button', { name: digit }));
  fireEvent.click(screen.getByRole('button', { name: /Go on/ }));
  await pass(10);
};

test('after the shop’s minutes without a touch it asks for the PIN; a touch puts it off; what was typed stays', async () => {
  open(2);
  fireEvent.change(screen.getByLabelText('a note'), { target: { value: 'half a wo' } });
  await pass(MINUTE * 1.8);
  fireEvent.pointerDown(document.body);
  await pass(MINUTE * 1.8);
  expect(locked()).toBe(false);
  await pass(MINUTE * 0.4);
  expect(locked()).toBe(true);
  expect(asked).toEqual([{ method: 'PUT', path: '/api/session/lock' }]);
  fireEvent.keyDown(document.body, { key: 'Escape' });
  expect(locked()).toBe(true);
  answers['POST /api/session/unlock'] = wrong;
  await type('1111');
  expect(screen.getByRole('alert').textContent).toContain('4 tries left');
  expect(locked()).toBe(true);
  answers['POST /api/session/unlock'] = done;
  await type('2580');
  expect(locked()).toBe(false);
  expect((screen.getByLabelText('a note') as HTMLInputElement).value).toBe('half a wo');
});

test('without the rule never; with the server away not before it is back', async () => {
  open(null);
  await pass(MINUTE * 600);
  expect([locked(), asked]).toEqual([false, []]);
  document.body.replaceChildren();
  answers['PUT /api/session/lock'] = away;
  open(1);
  await pass(MINUTE * 3);
  expect(locked()).toBe(false);
  answers['PUT /api/session/lock'] = done;
  await pass(6_000);
  expect(locked()).toBe(true);
});

test('locked, and the server is away: the PIN that signed in here opens it, another does not', async () => {
  holdPin('2580');
  expect([isPinHere('2580'), isPinHere('2581')]).toEqual([true, false]);
  open(1);
  await pass(MINUTE * 1.2);
  answers['POST /api/session/unlock'] = away;
  await type('1111');
  expect(screen.getByRole('alert').textContent).toContain('The server is away');
  expect(locked()).toBe(true);
  await type('2580');
  expect(locked()).toBe(false);
  forgetPin();
  expect(isPinHere('2580')).toBe(false);
});
