import { inThisOrder, tell } from '../job/testing.ts';
import type { Entry } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { followUps } from './index.ts';

/** A job in which two joints were opened, a worm clamp put on and a guard left off; signed at ten in the evening. */
function signed() {
  const job = tell({ complaint: 'hose', vehicle: archetypes[0]! });
  for (const id of ['feed', 'vent']) job.say('cleared', { key: `line:${id}` });
  for (const id of ['feed', 'vent']) job.say('made', { key: `line:${id}` });
  job.say('clampPut', { key: 'line:vent', end: 'tank', kind: 'smooth', plastic: false, bead: true, again: false });
  job.say('clampPut', { key: 'line:vent', end: 'other', kind: 'spring', plastic: false, bead: true, again: false });
  job.say('deviation', {
    debt: 'open:obstruction:shield@x',
    what: 'stone shield off',
    reason: 'bolts',
    who: 'owner',
    due: 'by 2026-12-04',
  });
  job.say('deviation', {
    debt: 'torque:x',
    what: 'torque not written',
    reason: 'no wrench',
    who: 'Ines',
    due: 'next service',
  });
  return job;
}
/** As the server numbered it: what was allowed there stands; the signature at a time of its own. */
const numbered = (log: readonly Entry[], signedAt: string) =>
  inThisOrder(log.map((one) => (one.kind === 'signed' ? { ...one, at: signedAt } : one)));

describe('what follows a signed job', () => {
  test('nothing before it is signed', () => expect(followUps(signed().state)).toEqual([]));
  test('joints cold the next day, worm clamps once more, what was left off by its day', () => {
    const job = signed();
    job.say('signed', {});
    const state = numbered(job.log, '2026-11-27T22:10:00.000Z');
    expect(followUps(state)).toEqual([
      { id: 'cold', text: 'every joint once more, cold: 2 of them', due: '2026-11-28', done: false },
      { id: 'worms', text: 'worm clamps once more with the key, cold: 1 of them', due: '2026-11-28', done: false },
      { id: 'left:open:obstruction:shield@x', text: 'stone shield off: by 2026-12-04', due: '2026-12-04', done: false },
      { id: 'left:torque:x', text: 'torque not written: next service', due: null, done: false },
    ]);
  });
  test('one that is done is done, and no other; over the end of a month', () => {
    const job = signed();
    job.say('signed', {});
    expect(followUps(numbered(job.log, '2026-12-31T08:00:00.000Z'))[0]!.due).toBe('2027-01-01');
    job.say('followUpDone', { of: 'cold', text: 'cold and dry' });
    expect(
      followUps(numbered(job.log, '2026-11-27T22:10:00.000Z'))
        .filter(({ done }) => done)
        .map(({ id }) => id),
    ).toEqual(['cold']);
  });
  test('reopened, nothing follows until it is signed again', () => {
    const job = signed();
    job.say('signed', {});
    job.say('reopened', { reason: 'the recheck weeps', approval: 'a' } as never);
    expect(followUps(numbered(job.log, '2026-11-27T22:10:00.000Z'))).toEqual([]);
  });
});
