import fc from 'fast-check';
import { archetypes, keyOf, shortName, splitKey } from '../vehicle/index.ts';
import { entryInWords, foldJob, logWriter, nameOf, takeBackInWords } from './index.ts';
import { startingFigures } from '../order/index.ts';
import { anyLog, jobAt } from './testing.ts';

test('every entry of every log has words, and none of them is a key', () => {
  fc.assert(
    fc.property(anyLog(), (log) => {
      const state = foldJob(null, log.slice(0, 1))!;
      for (const entry of log) {
        const words = entryInWords(state, entry);
        expect(words.length).toBeGreaterThan(1);
        expect(words).not.toMatch(/undefined|NaN|line:feed|support:strap/);
      }
    }),
    { numRuns: 100 },
  );
});

test.each([
  ['feed line', 'feed'],
  ['vent hose', 'vent'],
  ['pump and sender plug', 'plug'],
  ['ground strap', 'ground'],
  ['front strap', 'front strap'],
  ['spare wheel carrier', 'spare wheel'],
])('%s is called %s for short', (long, short) => expect(shortName(long)).toBe(short));

test('a key names its thing, also one that no file lists', () => {
  const write = logWriter('job');
  const state = foldJob(null, [
    write('opened', { name: 'x', complaint: 'pump', vehicle: archetypes[0]! }),
    write('surprise', { what: 'holds', key: 'new:1', name: 'tow wiring', lets: 30 }),
    write('putIn', { name: 'lamp', tag: 3 }),
  ])!;
  expect(nameOf(state, 'line:vent')).toBe('front vent hose');
  expect(nameOf(state, 'clip:feed-clip')).toBe('feed clip');
  expect(nameOf(state, 'support:strap-2')).toBe('rear strap');
  expect(nameOf(state, 'obstruction:shield')).toBe('stone shield');
  expect(nameOf(state, 'obstruction:new-1')).toBe('tow wiring');
  expect(nameOf(state, state.items[0]!.key)).toBe('lamp');
  expect(splitKey(keyOf('line', 'a:b'))).toEqual({ kind: 'line', id: 'a:b' });
});

test('heights in words are in the units of who reads them', () => {
  const job = jobAt();
  const words = (units?: 'us') =>
    takeBackInWords(job.state, job.entries, { maker: { by: 'ines', device: 'device' }, units })!.words;
  job.log('moved', { to: { f: 40, r: 40 }, why: 'raised' });
  expect(words()).toBe('raised to 40');
  // 40 mm is 1.575 in, nearest 1 9/16 (25.4 mm to the inch).
  expect(words('us')).toBe('raised to 1 9/16');
  job.log('answer', { question: 'tape', of: 'r', value: 652 });
  expect(words()).toBe('tape answered');
  expect(takeBackInWords(job.state, job.entries, { maker: { by: 'bo', device: 'device' } })).toBeNull();
});

test('what the server brought of the shop is not offered to be taken back', () => {
  const write = logWriter('job');
  const log = [
    write('opened', { name: 'x', complaint: 'pump', vehicle: archetypes[0]! }),
    write('note', { text: 'seen' }),
    write('shopFigures', { ...startingFigures, two: 40 }),
  ];
  const state = foldJob(null, log)!;
  expect(takeBackInWords(state, log, { maker: { by: 'ines', device: 'device' } })?.entry).toBe(log[1]!.id);
});
