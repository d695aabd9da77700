import { describe, expect, test } from '@jest/globals';
import { checkBody, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { placesOf } from '../condition/index.ts';
import { chainWhole, evidenceBegun, judgeCause, judgeReach, ofInside, streamOf, type StreamPoint } from './index.ts';

const start = () => tell({ complaint: 'badFuel', vehicle: archetypes[0]! });
type Job = ReturnType<typeof start>;
const look = (job: Job, at: StreamPoint, is: 'clean' | 'dirty', what?: 'rust' | 'slime' | 'water') =>
  job.say('streamLooked', { at, is, ...(what ? { what } : {}) });
const debts = (job: Job) =>
  owed(job.state)
    .filter(({ key }) => key === 'stream')
    .map(({ id }) => id);

describe('how far it went; common practice, no source', () => {
  test('nobody cut the filter open: unknown, one end is not enough', () => {
    const job = start();
    expect(judgeReach(job.state.stream).outcome).toBe('unknown');
    look(job, 'filterIn', 'dirty');
    expect(judgeReach(job.state.stream).outcome).toBe('unknown');
    expect(debts(job)).toEqual([]);
  });
  test('dirty in, clean out: it did its job, nothing behind it is owed', () => {
    const job = start();
    look(job, 'filterIn', 'dirty', 'rust');
    look(job, 'filterOut', 'clean');
    const { outcome, reasons } = judgeReach(job.state.stream);
    expect(outcome).toBe('good');
    expect(inWords(reasons[0]!.text)).toMatch(/stopped there/);
    expect(debts(job)).toEqual([]);
  });
  test('dirty at both: go on; owed until lines and rail are clean, and a new filter answers neither', () => {
    const job = start();
    look(job, 'filterIn', 'dirty', 'rust');
    look(job, 'filterOut', 'dirty', 'rust');
    expect(judgeReach(job.state.stream).outcome).toBe('bad');
    expect(debts(job)).toEqual(['stream:lines', 'stream:rail']);
    look(job, 'filterOut', 'clean');
    expect(debts(job)).toEqual(['stream:lines', 'stream:rail']);
    look(job, 'lines', 'dirty', 'rust');
    look(job, 'lines', 'clean');
    expect(debts(job)).toEqual(['stream:rail']);
    look(job, 'rail', 'clean');
    expect(debts(job)).toEqual([]);
    expect(judgeReach(job.state.stream).outcome).toBe('good');
  });
  test('clean in and dirty out: it sheds or sat the wrong way round', () => {
    const job = start();
    look(job, 'filterIn', 'clean');
    look(job, 'filterOut', 'dirty');
    expect(inWords(judgeReach(job.state.stream).reasons[0]!.text)).toMatch(/wrong way round/);
  });
});

describe('suspicion beside finding', () => {
  test('nobody said what is suspected, then nobody looked where it would show', () => {
    const job = start();
    expect(judgeCause(job.state).outcome).toBe('unknown');
    job.say('suspected', { cause: 'rust' });
    expect(judgeCause(job.state).outcome).toBe('unknown');
  });
  test('found where it would show it fits, and is not proven', () => {
    const job = start();
    job.say('suspected', { cause: 'rust', who: 'the driver' });
    look(job, 'tank', 'dirty', 'rust');
    const verdict = judgeCause(job.state);
    expect(verdict.outcome).toBe('doubtful');
    expect(inWords(verdict.reasons[0]!.text)).toMatch(/not proven until a laboratory/);
    // Cleaned since: what was found stays found.
    look(job, 'tank', 'clean');
    expect(judgeCause(job.state).outcome).toBe('doubtful');
  });
  test('screens that are not dirty are not the cause: it stays open', () => {
    const job = start();
    job.say('suspected', { cause: 'screens' });
    look(job, 'screen', 'clean');
    const verdict = judgeCause(job.state);
    expect(verdict.outcome).toBe('bad');
    expect(verdict.next.map((n) => inWords(n)).join()).toMatch(/stays open/);
  });
  test('another dirt than the suspected one does not carry it', () => {
    const job = start();
    job.say('suspected', { cause: 'water' });
    look(job, 'tank', 'dirty', 'slime');
    look(job, 'filterIn', 'clean');
    expect(judgeCause(job.state).outcome).toBe('bad');
  });
});

describe('what was looked at already is not asked twice', () => {
  const steel = { ...archetypes[0]!, tank: { ...archetypes[0]!.tank, material: 'steel' as const } };
  test('the sample, the tank’s inside and the strainer tell; a look on purpose outranks them', () => {
    const job = tell({ complaint: 'badFuel', vehicle: steel });
    expect(streamOf(job.state)).toEqual({});
    job.say('answer', { question: 'sample', value: 'slime' });
    expect(streamOf(job.state).tank).toMatchObject({ is: 'dirty', wasDirty: 'slime' });
    job.say('finding', { what: 'light film of rust', where: 'inside', verdict: 'doubtful' });
    expect(streamOf(job.state).tank?.wasDirty).toBe('rust');
    job.say('partSaid', { parts: ['strainer'], outcome: 'bad', found: 'blocked' });
    expect(streamOf(job.state).screen?.wasDirty).toBe('screens');
    // Another one in its place is clean; the one that came out was not.
    job.say('partSwapped', { part: 'strainer', with: 'new' });
    job.say('partSaid', { parts: ['strainer'], outcome: 'good' });
    expect(streamOf(job.state).screen?.wasDirty).toBe('screens');
    look(job, 'tank', 'dirty', 'water');
    expect(streamOf(job.state).tank?.wasDirty).toBe('water');
  });
  test('a clear sample is a clean tank', () => {
    const job = tell({ complaint: 'badFuel', vehicle: steel });
    job.say('answer', { question: 'sample', value: 'clear' });
    expect(streamOf(job.state).tank?.is).toBe('clean');
  });
  test('every word it reads is one that can be tapped', () => {
    const words = placesOf(steel)
      .find(({ id }) => id === 'inside')!
      .found.map((f) => f.words);
    for (const word of Object.keys(ofInside)) expect(words).toContain(word);
  });
});

describe('a sample and its hands', () => {
  const withSample = (sealed = true) => {
    const job = start();
    job.say('suspected', { cause: 'water' });
    look(job, 'tank', 'dirty', 'water');
    const sample = job.say('sampleKept', { of: 'tank', sealed, with: 'the shop', tag: 31 });
    return { job, sample };
  };
  test('only a laboratory proves it, and only of a sample whose seal was whole in every hand', () => {
    const { job, sample } = withSample();
    job.say('sampleHanded', { sample, to: 'the laboratory', whole: true });
    expect(judgeCause(job.state).outcome).toBe('doubtful');
    job.say('labTold', { sample, is: 'water', lab: 'harbour laboratory, 4411' });
    expect(judgeCause(job.state).outcome).toBe('good');
    expect(chainWhole(job.state.kept[0]!)).toBe(true);
    const text = recordLines(job.state)
      .map((line) => inWords(line.text))
      .join('\n');
    expect(text).toMatch(
      /sample 31, taken in the tank, sealed and dated: the shop, then the laboratory; harbour laboratory, 4411: water/,
    );
  });
  test('a broken seal proves nothing; another finding speaks against it', () => {
    const { job, sample } = withSample();
    job.say('sampleHanded', { sample, to: 'the laboratory', whole: false });
    const lab = job.say('labTold', { sample, is: 'water', lab: 'x' });
    expect(judgeCause(job.state).outcome).toBe('doubtful');
    job.back(lab);
    job.say('labTold', { sample, is: 'sound', lab: 'x' });
    expect(judgeCause(job.state).outcome).toBe('bad');
  });
  test('one that was never sealed stays unproven whatever the laboratory says', () => {
    const { job, sample } = withSample(false);
    job.say('labTold', { sample, is: 'water', lab: 'x' });
    expect(judgeCause(job.state).outcome).toBe('doubtful');
  });
});

test('a job without bad fuel has no evidence and no line about it', () => {
  const job = start();
  expect(evidenceBegun(job.state)).toBe(false);
  expect(recordLines(job.state).filter(({ under }) => under === 'fuel')).toEqual([]);
});

test.each([
  ['streamLooked', { at: 'moon', is: 'clean' }, /at/],
  ['streamLooked', { at: 'tank', is: 'clean', what: 'rust' }, /nothing where it is clean/],
  ['sampleKept', { of: 'tank', sealed: true, with: ' ' }, /who keeps it/],
  ['labTold', { sample: 'e1', is: 'gold', lab: 'x' }, /is/],
] as const)('%s %j is refused', (kind, body, why) => expect(() => checkBody(kind, body as never)).toThrow(why));
