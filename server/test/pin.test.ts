import { sharedDatabase } from '../../e2e/lib/server.ts';
import { openDatabase, type Database } from '../src/db/connect.ts';
import { checkPin, hashPin } from '../src/people/signIn.ts';

/** Guessing a PIN: many at once, and one after the other for a long time. */
let mariadb: Awaited<ReturnType<typeof sharedDatabase>>;
let db: Database;
beforeAll(async () => {
  mariadb = await sharedDatabase();
  db = await openDatabase(mariadb.url());
});
afterAll(async () => {
  await db?.sequelize.close();
  await mariadb?.stop();
});

const start = Date.UTC(2026, 0, 5, 8);
const person = async (id: string) => {
  await db.models.Person.create({ id, name: id, role: 'technician', pinHash: await hashPin('2580') });
  return (pin: string, now = start) => checkPin(db, { personId: id, pin, now });
};
const statusOf = (check: Promise<unknown>): Promise<number> =>
  check.then(
    () => 200,
    (error: { status: number }) => error.status,
  );

test('forty guesses at once: five are looked at, the rest have to wait', async () => {
  const guess = await person('ines');
  const all = await Promise.all(Array.from({ length: 40 }, (_, i) => statusOf(guess(String(1000 + i)))));
  expect(all.filter((status) => status === 401)).toHaveLength(5);
  expect(all.filter((status) => status === 429)).toHaveLength(35);
  // Also the right one.
  expect(await statusOf(guess('2580'))).toBe(429);
  expect(await statusOf(guess('2580', start + 61_000))).toBe(200);
});

test('pauses grow, one minute to an hour, and the right PIN begins anew', async () => {
  const guess = await person('bo');
  let now = start;
  const pauses: number[] = [];
  for (let round = 0; round < 8; round++) {
    for (let i = 0; i < 5; i++) expect(await statusOf(guess('0000', now))).toBe(401);
    const refused = await guess('2580', now).then(
      () => null,
      (error: { more: { retryAfter: number } }) => error.more.retryAfter,
    );
    pauses.push((refused ?? 0) / 60);
    now += (refused ?? 0) * 1000 + 1;
  }
  expect(pauses).toEqual([1, 2, 4, 8, 16, 32, 60, 60]);
  expect(await statusOf(guess('2580', now))).toBe(200);
  for (let i = 0; i < 4; i++) expect(await statusOf(guess('0000', now))).toBe(401);
  expect(await statusOf(guess('2580', now))).toBe(200);
});
