import { completed, recordLines, type Bodies, type JobState } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { dayChecks, dayItems } from './index.ts';

const start = () => tell({ complaint: 'pump', vehicle: archetypes[0]! });
const ended = (state: JobState, checks: Bodies['dayEnded']['checks']) =>
  completed(state, 'dayEnded', { checks }) as Bodies['dayEnded'];
const outcomes = (state: Parameters<typeof dayItems>[0]) =>
  Object.fromEntries(dayItems(state).map(({ id, outcome }) => [id, outcome]));

test('key, caps and battery by the log, the rest by a look', () => {
  const job = start();
  expect(outcomes(job.state)).toMatchObject({ key: 'good', caps: 'good', battery: null, support: null });
  job.say('battery', { on: true });
  job.say('keyOn', { where: 'home', primed: 'pump' });
  job.say('cleared', { key: 'line:feed' });
  expect(outcomes(job.state)).toMatchObject({ key: 'bad', caps: 'bad', battery: 'doubtful' });
  job.say('keyOff', {});
  job.say('capped', { keys: ['line:feed'] });
  job.say('battery', { on: false });
  expect(outcomes(job.state)).toMatchObject({ key: 'good', caps: 'good', battery: 'good' });
});

test('a tank that hangs part-way is not left on a jack; cans are asked for where there are any', () => {
  const job = start();
  job.say('moved', { to: { f: 45, r: 45 } });
  const support = dayItems(job.state).find(({ id }) => id === 'support')!;
  expect(inWords(support.text)).toMatch(/a jack sinks overnight/);
  expect(outcomes(job.state)).not.toHaveProperty('cans');
  job.say('container', { number: 1, capacity: 20, litres: 12, clean: true });
  expect(outcomes(job.state)).toHaveProperty('cans');
});

test('what was not looked at, and what stood open, is on the record as its maker knew it', () => {
  const job = start();
  job.say('cleared', { key: 'line:feed' });
  const body = ended(
    job.state,
    dayChecks.filter((one) => one !== 'air'),
  );
  expect(body.against).toEqual([
    expect.stringMatching(/^open: /),
    expect.stringMatching(/no vapour to smell.*: not looked at/),
  ]);
  job.say('dayEnded', body);
  job.say('capped', { keys: ['line:feed'] });
  job.say('dayEnded', ended(job.state, [...dayChecks]));
  const lines = recordLines(job.state)
    .map(({ text }) => inWords(text))
    .filter((text) => text.startsWith('left'));
  expect(lines).toEqual([expect.stringMatching(/^left for the night: open: /), 'left for the night, all looked at']);
});
