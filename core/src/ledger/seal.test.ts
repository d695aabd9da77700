import { owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { judgeSeal } from './index.ts';

describe('the seal under the ring', () => {
  test.each([
    [{ newSeal: true }, false, 'good'],
    [{ newSeal: false }, false, 'doubtful'],
    [{ newSeal: true, sealOld: 4, sealNew: 4.2 }, false, 'good'],
    [{ newSeal: true, sealOld: 4, sealNew: 3.2 }, false, 'bad'],
    [{ newSeal: true, sealOld: 4, sealNew: 6.5 }, false, 'doubtful'],
    [{ newSeal: true, school: 'sealant' }, false, 'doubtful'],
    [{ newSeal: true, school: 'sealant' }, true, 'good'],
    [{ newSeal: true, school: 'oiled' }, false, 'good'],
  ] as const)('%j, screwed %s: %s', (body, screwed, is) => {
    expect(judgeSeal(body, screwed).outcome).toBe(is);
  });
  test('a thin one is owed until the ring was opened and closed on another; what it was stands on the record', () => {
    const job = tell({ complaint: 'pump', vehicle: archetypes[0]! });
    const debts = () => owed(job.state).filter(({ key }) => key === 'seal').length;
    job.say('ring', { state: 'opened' });
    job.say('ring', { state: 'closed', newSeal: true, sealOld: 4, sealNew: 3 });
    expect(debts()).toBe(1);
    job.say('ring', { state: 'opened' });
    expect(debts()).toBe(0);
    job.say('ring', { state: 'closed', newSeal: true, sealOld: 4, sealNew: 4.1, school: 'dry' });
    expect(debts()).toBe(0);
    expect(
      recordLines(job.state)
        .map(({ text }) => inWords(text))
        .filter((text) => text.startsWith('seal')),
    ).toEqual(['seal: a new seal', 'seal: as thick as its groove asks, 4 mm new, 4 mm old']);
  });
});
