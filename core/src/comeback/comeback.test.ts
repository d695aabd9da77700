import { tell } from '../job/testing.ts';
import { archetypes } from '../vehicle/index.ts';
import { comeback, type Show } from './index.ts';

const rail = archetypes[0]!;
const done = () => {
  const job = tell({ complaint: 'pump', vehicle: rail });
  for (const id of ['feed', 'vent', 'filler', 'plug']) job.say('cleared', { key: `line:${id}` });
  job.say('cleared', { key: 'support:strap-1' });
  for (const id of ['feed', 'vent', 'filler', 'plug']) job.say('made', { key: `line:${id}` });
  job.say('restored', { key: 'support:strap-1' });
  job.say('jointSeen', { key: 'line:feed', seen: 'dry', checks: ['wiped', 'wet'] });
  return job;
};
const first = (job: ReturnType<typeof done>, shows: Show) => comeback(job.state, shows).map(({ key }) => key);

describe('a job that came back', () => {
  test('how it shows decides which joints stand first', () => {
    const job = done();
    expect(first(job, 'full').slice(0, 2).sort()).toEqual(['line:filler', 'line:vent']);
    expect(first(job, 'running')[0]).toBe('line:feed');
    expect(first(job, 'needle')[0]).toBe('line:plug');
    expect(first(job, 'knocks')[0]).toBe('support:strap-1');
  });
  test('of two that show so the one that was never proved stands first, and says why', () => {
    const job = done();
    job.say('jointSeen', { key: 'line:vent', seen: 'dry', checks: ['wiped', 'wet'] });
    const [suspect] = comeback(job.state, 'full');
    expect(suspect!.key).toBe('line:filler');
    expect(suspect!.why).toEqual(['wet only when it is full', 'never proved', 'opened on this job']);
  });
  test('what was pulled on the way outweighs what was only opened', () => {
    const job = done();
    job.say('pulled', { key: 'line:vent' });
    expect(first(job, 'full')[0]).toBe('line:vent');
  });
  test('nothing was opened: nothing is suspect', () => {
    expect(comeback(tell({ complaint: 'pump', vehicle: rail }).state, 'running')).toEqual([]);
  });
});
