import { checkBody, foldJob, inWords, recordLines, stationNow, summaryOf, type Entry } from '@iron-cradle/core';
import { readConfig } from '../src/config.ts';
import { demoJobs } from '../src/demo/jobs.ts';
import { demoVehicles } from '../src/demo/vehicles.ts';
import { GENESIS, hashOf, verifyChain, type Chained } from '../src/jobs/chain.ts';
import { readVehicle } from '../src/vehicles/routes.ts';

const row = (seq: number, previous: string, body = `{"text":"${seq}"}`): Chained => {
  const said = {
    id: `e${seq}`,
    jobId: 'job',
    seq,
    version: 1,
    kind: 'note',
    body,
    by: 'ines',
    device: 'd1',
    n: seq,
    at: '2026-01-05T08:00:00Z',
    onId: null,
    said: null,
    decided: null,
    received: '2026-01-05T08:00:01Z',
    behind: null,
  };
  return { ...said, hash: hashOf(previous, said) };
};
const chain = (n: number): Chained[] => {
  const rows: Chained[] = [];
  for (let i = 1; i <= n; i++) rows.push(row(i, rows.at(-1)?.hash ?? GENESIS));
  return rows;
};

describe('the chain', () => {
  test('holds as written; SHA-256 of the text, by hand for one', async () => {
    const rows = chain(5);
    expect(verifyChain(rows)).toEqual({ length: 5, last: rows[4]!.hash, brokenAt: null });
    const text = JSON.stringify([
      ...[GENESIS, 'e1', 'job', 1, 'note', '{"text":"1"}', 'ines', 'd1', 1, '2026-01-05T08:00:00Z'],
      ...[null, null, null],
    ]);
    // The browser's own digest as another road to the same figure.
    const digest = Buffer.from(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text))).toString('hex');
    expect(rows[0]!.hash).toBe(digest);
  });

  test.each<[string, (rows: Chained[]) => void, number]>([
    ['a letter changed', (r) => (r[2]!.body = '{"text":"x"}'), 3],
    ['a time changed', (r) => (r[1]!.at = '2026-01-05T09:00:00Z'), 2],
    ['somebody else named', (r) => (r[4]!.by = 'bo'), 5],
    ['another device', (r) => (r[3]!.device = 'd2'), 4],
    ['a decision made up', (r) => (r[3]!.decided = '{}'), 4],
    ['one left out', (r) => void r.splice(1, 1), 3],
    ['two exchanged', (r) => void r.splice(0, 2, r[1]!, r[0]!), 2],
    ['a hash made to fit its own line only', (r) => ((r[1]!.body = '{}'), (r[1]!.hash = hashOf(r[0]!.hash, r[1]!))), 3],
  ])('%s is found', (_, change, at) => {
    const rows = chain(5);
    change(rows);
    expect(verifyChain(rows).brokenAt).toBe(at);
  });
});

describe('configuration', () => {
  const url = 'mariadb://u:p@127.0.0.1:3306/x';
  test('sound defaults', () =>
    expect(readConfig({ DATABASE_URL: url })).toMatchObject({ port: 4173, host: '127.0.0.1', demo: true }));
  test.each(['abc', '-1', '70000', '80.5'])('a port of %s is refused by name', (PORT) =>
    expect(() => readConfig({ DATABASE_URL: url, PORT })).toThrow(/PORT/),
  );
  test('no database is refused by name', () => expect(() => readConfig({})).toThrow(/DATABASE_URL/));
});

describe('the demo shop', () => {
  const jobs = demoJobs(new Date('2026-11-25T10:00:00Z'));
  const folded = jobs.map((entries) => foldJob(null, entries)!);

  test('its vehicles are files of the published schema', () => {
    for (const file of demoVehicles) expect(() => readVehicle(JSON.parse(JSON.stringify(file)))).not.toThrow();
    expect(demoVehicles.length).toBeGreaterThanOrEqual(3);
  });

  test('every entry fits its class and counts', () => {
    jobs.forEach((entries: Entry[], i) => {
      for (const entry of entries) expect(() => checkBody(entry.kind, entry.body)).not.toThrow();
      expect(folded[i]!.heads.filter((head) => head.counts)).toHaveLength(entries.length);
    });
  });

  test('its jobs stand in different states, one held, one parked, one signed', () => {
    expect(new Set(folded.map(stationNow)).size).toBeGreaterThanOrEqual(4);
    const rows = folded.map(summaryOf);
    const minibus = rows.find((r) => r.name === 'Minibus')!;
    expect([minibus.halt, inWords(minibus.sentence)]).toEqual([true, 'heater holds it at 45 mm']);
    expect(rows.find((r) => r.name === 'Pickup 2')).toMatchObject({
      parked: 'owner decides: the tank shop, or another tank',
      tankOff: true,
    });
    expect(rows.find((r) => r.name === 'Saloon')!.signed).not.toBeNull();
    for (const state of folded) expect(recordLines(state).filter((line) => line.under === 'flags')).toEqual([]);
  });

  test('names no make, only common nouns and numbers', () => {
    for (const state of folded) expect(state.name).toMatch(/^(Van|Minibus|Pickup|Saloon)( \d{1,2})?$/);
  });
});
