import { inWords } from '../quantity/index.ts';
import { buildSteps, judgeBuilt, judgeRung, ladderOf, nextRung } from './index.ts';
import { item, start, van } from './testing.ts';

describe('the ladder by which a ring comes open; common practice, no source', () => {
  test('the gentlest first; screws are not turned by a ring tool', () => {
    expect(ladderOf('ring').map(({ id }) => id)).toEqual(['clean', 'soak', 'tool', 'drift', 'wider', 'steel']);
    expect(ladderOf('screws').map(({ id }) => id)).toEqual(['clean', 'soak', 'drill']);
    expect(nextRung('ring', [])?.id).toBe('clean');
    expect(nextRung('ring', ['clean', 'tool'])?.id).toBe('soak');
    expect(nextRung('screws', ['clean', 'soak', 'drill'])).toBeNull();
  });
  test('steel before the gentler ones is a halt and stands on the record; after them a look', () => {
    expect(judgeRung('ring', 'steel', ['clean']).outcome).toBe('bad');
    expect(judgeRung('ring', 'steel', ['clean', 'soak', 'tool', 'drift', 'wider']).outcome).toBe('doubtful');
    expect(judgeRung('ring', 'drift', ['clean']).outcome).toBe('doubtful');
    expect(judgeRung('ring', 'tool', ['clean', 'soak']).outcome).toBe('good');
    const job = start();
    job.say('ringTried', { rung: 'clean' });
    expect(job.state.flags).toEqual([]);
    job.say('ringTried', { rung: 'steel' });
    expect(job.state.flags.map(({ text }) => inWords(text)).join()).toMatch(
      /^Steel on steel at the ring; not tried before: soak it/,
    );
  });
});

describe('built up from below', () => {
  const steps = buildSteps({ vehicle: van } as never).map(({ id }) => id);
  const build = (job: ReturnType<typeof start>, ids: readonly string[]) =>
    ids.forEach((step) => job.say('built', { step }));
  test('the groove comes first, the ring last; nobody began, nobody is asked', () => {
    expect([steps[0], steps.at(-1)]).toEqual(['groove', 'ring']);
    const job = start();
    expect(judgeBuilt(job.state)).toBeNull();
    expect(item(job.state, 'built')).toBeUndefined();
  });
  test('every step, and in order', () => {
    const job = start();
    build(job, steps.slice(0, -1));
    expect(judgeBuilt(job.state)?.outcome).toBe('bad');
    build(job, ['ring']);
    expect(judgeBuilt(job.state)?.outcome).toBe('good');
    expect(item(job.state, 'built')?.verdict.outcome).toBe('good');
    const late = start();
    build(late, [...steps.slice(1), 'groove']);
    expect(judgeBuilt(late.state)?.outcome).toBe('doubtful');
  });
  test('another pump: what sits on it is done anew; the ring opened: all of it', () => {
    const job = start();
    build(job, steps);
    job.say('partSwapped', { part: 'pump', with: 'another' });
    expect(job.state.built.map(({ step }) => step)).toEqual(steps.slice(0, steps.indexOf('pump')));
    build(job, steps.slice(steps.indexOf('pump')));
    job.say('ring', { state: 'opened' });
    expect(job.state.built).toEqual([]);
  });
});
