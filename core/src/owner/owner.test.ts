import { describe, expect, test } from '@jest/globals';
import { checkBody, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { agreed, ownersWord, unanswered, worthWhileDown } from './index.ts';

const start = () => tell({ complaint: 'rust', vehicle: archetypes[0]! });

describe('at which chance it pays: price against another drop', () => {
  // 60 against 540: it pays if it fails once in nine; by hand.
  test.each([
    [60, { lo: 540, hi: 540 }, 'pays if it fails once in 9'],
    [60, { lo: 480, hi: 720 }, 'pays if it fails once in 8 to 12'],
    [10, { lo: 480, hi: 720 }, 'pays if it fails once in 50 to 70'],
    [500, { lo: 480, hi: 720 }, 'pays only if it is sure to fail'],
    [900, { lo: 480, hi: 720 }, 'costs more than another drop: only if it is bad'],
    [0, { lo: 480, hi: 720 }, 'costs nothing: do it'],
  ])('%d against %j: %s', (price, drop, text) => expect(worthWhileDown(price, drop)?.text).toBe(text));
  test('no price, no figure', () => {
    expect(worthWhileDown(null, { lo: 1, hi: 3 })).toBeNull();
    expect(worthWhileDown(60, null)).toBeNull();
    expect(() => worthWhileDown(-1, { lo: 1, hi: 3 })).toThrow(/zero or more/);
  });
});

describe('one list the owner says yes to', () => {
  const asked = () => {
    const job = start();
    job.say('finding', { what: 'thinned, in layers', where: 'straps', verdict: 'bad' });
    const straps = job.say('proposed', {
      why: 'mend',
      what: 'thinned, in layers',
      where: 'straps',
      remedy: 'replace',
      price: 84,
    });
    const rubber = job.say('proposed', { why: 'whileDown', what: 'all rubber from tank to engine', price: 30 });
    return { job, straps, rubber };
  };
  const debts = (job: ReturnType<typeof start>) => owed(job.state).filter(({ key }) => key === 'owner');
  test('until the owner answered it is owed; what was agreed until it is done, a no is no debt', () => {
    const { job, straps, rubber } = asked();
    expect(unanswered(job.state)).toHaveLength(2);
    expect(debts(job).map(({ text }) => inWords(text))).toEqual([
      'straps, thinned in layers: replace it: the owner has not answered'.replace('thinned in', 'thinned, in'),
      'all rubber from tank to engine: the owner has not answered',
    ]);
    job.say('ownerSaid', { yes: [straps], no: [rubber], who: 'the owner', how: 'by telephone' });
    expect(agreed(job.state).map(({ id }) => id)).toEqual([straps]);
    expect(debts(job)).toHaveLength(1);
    job.say('proposalClosed', { proposal: straps, as: 'done', note: 'two new straps' });
    expect(debts(job)).toEqual([]);
  });
  test('done as agreed it answers what was found', () => {
    const { job, straps, rubber } = asked();
    job.say('ownerSaid', { yes: [straps], no: [rubber], who: 'the owner', how: 'by telephone' });
    job.say('proposalClosed', { proposal: straps, as: 'done' });
    expect(job.state.findings.at(-1)).toMatchObject({
      what: 'thinned, in layers',
      where: 'straps',
      verdict: 'good',
      note: 'replaced',
    });
    const record = recordLines(job.state).map(({ text }) => inWords(text));
    expect(record).toContain('straps, thinned, in layers: replace it: agreed by the owner, by telephone; done');
    expect(record).toContain('all rubber from tank to engine: declined by the owner, by telephone');
  });
  test('a later word counts; taken back, the earlier one', () => {
    const { job, straps } = asked();
    job.say('ownerSaid', { yes: [straps], no: [], who: 'the owner', how: 'by telephone' });
    const no = job.say('ownerSaid', { yes: [], no: [straps], who: 'the owner', how: 'at the counter' });
    const word = () => ownersWord(job.state.proposals[0]!)?.answer;
    expect(word()).toBe('no');
    job.back(no);
    expect(word()).toBe('yes');
  });
  test.each([
    ['ownerSaid', { yes: [], no: [], who: 'x', how: 'y' }, /a yes or a no/],
    ['ownerSaid', { yes: ['e1'], no: ['e1'], who: 'x', how: 'y' }, /not both/],
    ['proposed', { why: 'mend', what: '  ' }, /a few words about it/],
    ['proposed', { why: 'mend', what: 'x', price: -3 }, /price/],
    ['proposed', { why: 'mend', what: 'x', dropLo: 5 }, /another drop costs/],
  ] as const)('%s %j is refused', (kind, body, why) => expect(() => checkBody(kind, body as never)).toThrow(why));
});
