import { InputError } from '@iron-cradle/core';
import { ConnectionRefusedError, ConnectionAcquireTimeoutError, DatabaseError } from 'sequelize';
import { Problem, problems } from '../src/http/problem.ts';

/** What leaves the server when something went wrong: 503 only where waiting helps. */
const answer = (error: unknown) => {
  let status = 0;
  let sent = '';
  const response = {
    headersSent: false,
    status: (s: number) => ((status = s), response),
    type: () => response,
    send: (text: string) => void (sent = text),
  };
  problems(error, { log: { error: () => undefined } } as never, response as never, () => undefined);
  return { status, ...(JSON.parse(sent) as { title: string; detail: string; errors?: unknown[] }) };
};
const fromDatabase = (errno: number, more: object = {}) =>
  new DatabaseError(Object.assign(new Error('said by the database'), { sql: '', errno, ...more }) as never);

test.each([
  ['no connection', new ConnectionRefusedError(new Error('ECONNREFUSED'))],
  ['none to be had', new ConnectionAcquireTimeoutError(new Error('timeout'))],
  ['a deadlock that six tries did not undo', fromDatabase(1213)],
  ['shut down meanwhile', fromDatabase(1053)],
  ['the socket broke', fromDatabase(45009, { fatal: true, code: 'ER_SOCKET_UNEXPECTED_CLOSE' })],
  ['a node that is not ready', fromDatabase(1047)],
])('%s: not now', (_name, error) => {
  expect(answer(error)).toMatchObject({ status: 503, title: 'Not now' });
});

test.each([
  ['a slip in the code', new TypeError('x is not a function')],
  ['a column too short', fromDatabase(1406)],
  ['a statement that makes no sense', fromDatabase(1064)],
  ['nothing at all', undefined],
])('%s is a fault of the server: waiting does not mend it, and nothing of the inside leaves', (_name, error) => {
  const said = answer(error);
  expect(said).toMatchObject({ status: 500, title: 'A fault of the server' });
  expect(JSON.stringify(said)).not.toMatch(/function|said by the database|sql/i);
});

test('bad input and what has a name keep theirs', () => {
  expect(answer(new InputError('litres', 'x', 'a figure'))).toMatchObject({
    status: 400,
    errors: [{ field: 'litres' }],
  });
  expect(answer(new Problem(403, 'Only the lead', { detail: 'Ask.' }))).toMatchObject({ status: 403, detail: 'Ask.' });
});
