import { dayItems } from '../dayEnd/index.ts';
import { placesOf } from '../condition/index.ts';
import { diagnose } from '../diagnosis/index.ts';
import { judgeGate } from '../gates/index.ts';
import { entryInWords, foldJob, logWriter, type JobState } from '../job/index.ts';
import { neededFor, onceOrder } from '../needed/index.ts';
import type { Complaint } from '../order/index.ts';
import { quoteOf } from '../quote/index.ts';
import { planSheet } from '../steps/index.ts';
import { summaryOf } from '../summary/index.ts';
import { archetypes, asUsual, type VehicleFile } from '../vehicle/index.ts';
import { complaintKinds, makeCall } from './index.ts';

/** Every word in it, however deep. */
const wordsIn = (value: unknown): string[] =>
  typeof value === 'string'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(wordsIn)
      : [];

const prices = { currency: 'crowns', hour: 60, disposal: 2 };
/** All that is said of a job before the first bolt, and of what was done in it. */
function said(state: JobState): string[] {
  const moved = (why: 'raised' | 'lowered') => ({ to: { f: 40, r: 40 }, why });
  return [
    ...wordsIn({
      call: makeCall(state),
      needed: neededFor(state),
      once: onceOrder(state, true),
      quote: quoteOf(state, prices),
      sheet: [planSheet(state).down, planSheet(state).up, planSheet(state).caution],
      gates: ([1, 2, 3, 4] as const).map((gate) => judgeGate(state, gate)),
      places: placesOf(state.vehicle).map(({ name, short, look, found }) => [
        name,
        short,
        look,
        found.map(({ words, next }) => [words, next]),
      ]),
      day: dayItems(state),
      diagnosis: diagnose(state),
      summary: summaryOf(state),
    }),
    entryInWords(state, logWriter('job')('moved', moved('raised'))),
    entryInWords(state, logWriter('job')('moved', moved('lowered'))),
  ];
}

const opened = (vehicle: VehicleFile, complaint: Complaint) =>
  foldJob(null, [
    logWriter('job')('opened', { name: 'Van', complaint, vehicle: { ...asUsual(vehicle), variants: [] }, gauge: 0.5 }),
  ])!;

/** Down is where a tank hangs; one that stands in a boot or a cab comes out. Common practice, no source. */
const hanging = /\b(take it down|come down|comes down|lowered|lowering|raised?|way (up|down)|on the jack)\b/i;
const strapped = /(?<!ground )\bstraps?\b/i;

describe('what is said of a tank that does not hang', () => {
  const away = archetypes.filter(({ travel }) => travel !== 'down');
  test.each(away.map((file) => [file.id, file] as const))('%s: it is not taken down', (id, file) => {
    for (const { id: complaint } of complaintKinds)
      // A board on a jack carries the one behind the bumper, kneeling; nobody holds the others on a jack.
      expect(
        said(opened(file, complaint)).filter(
          (words) => hanging.test(words) && !(id.endsWith('wing') && /on the jack/.test(words)),
        ),
      ).toEqual([]);
  });
  test('there are four of them, each going another way or by other hands', () =>
    expect(away.map(({ mounting }) => mounting).sort()).toEqual(['floor', 'pads', 'upright', 'wing']));
});

test('a tank without straps is never said to have any', () => {
  const without = archetypes.filter(({ supports }) => supports.every(({ kind }) => kind !== 'strap'));
  expect(without.length).toBeGreaterThan(2);
  for (const file of without)
    for (const { id: complaint } of complaintKinds)
      expect(said(opened(file, complaint)).filter((words) => strapped.test(words))).toEqual([]);
});

test('a tank that hands carry is never worked on part-way, and says how many hands', () => {
  const inHands = archetypes.filter(({ carriedBy }) => carriedBy!.by.every((by) => !by.includes('jack')));
  expect(inHands.length).toBeGreaterThan(2);
  for (const file of inHands) {
    const { waysIn } = makeCall(opened(file, 'pump'));
    expect(waysIn.find(({ id }) => id === 'partway')!.cannot).toMatch(/hands carry it/);
    expect(waysIn.find(({ id }) => id === 'lower')!.people).toBe(file.carriedBy!.people);
  }
});
