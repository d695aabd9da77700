import { checkBody, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { codesOf, judgeCodes, judgeStart } from './index.ts';

const rail = archetypes[0]!;
const filed: VehicleFile = {
  ...rail,
  fuelSystem: { pump: 'electricHigh', place: 'tank', engine: { bar: exactly(3.5) } },
};
const usual: VehicleFile = { ...rail, fuelSystem: { pump: 'electricHigh' } };
const carburettor: VehicleFile = { ...rail, fuelSystem: { pump: 'mechanical' } };
const outcome = (body: Parameters<typeof judgeStart>[0], file = filed) => judgeStart(body, file).outcome;
const texts = (body: Parameters<typeof judgeStart>[0], file = filed) =>
  judgeStart(body, file)
    .reasons.map(({ text }) => inWords(text))
    .join('; ');

describe('the first start', () => {
  // Common practice, no source: a charged battery stands at 12.6 V, half at 12.2, flat under 12.
  test.each([
    [{ ran: 'ran' }, 'good'],
    [{ ran: 'no' }, 'bad'],
    [{ ran: 'dies' }, 'bad'],
    [{ ran: 'ran', volts: 12.6 }, 'good'],
    [{ ran: 'ran', volts: 12.2 }, 'doubtful'],
    [{ ran: 'ran', volts: 11.7 }, 'bad'],
    [{ ran: 'ran', bar: 3.4 }, 'good'],
    [{ ran: 'ran', bar: 2.4 }, 'bad'],
    [{ ran: 'ran', bar: 4.4 }, 'bad'],
    [{ ran: 'ran', bar: 3.4, stopped: 3.1 }, 'good'],
    [{ ran: 'ran', bar: 3.4, stopped: 2 }, 'doubtful'],
    [{ ran: 'ran', seconds: 3 }, 'good'],
    [{ ran: 'ran', seconds: 12 }, 'doubtful'],
  ] as const)('%j is %s', (body, is) => {
    expect(outcome(body)).toBe(is);
  });
  test('what is only usual for such a pump is never a halt', () => {
    expect(outcome({ ran: 'ran', bar: 1.5 }, usual)).toBe('doubtful');
    expect(outcome({ ran: 'ran', bar: 1.5 })).toBe('bad');
  });
  test('a pump on the engine cranks longer; more than a carburettor takes is a halt', () => {
    expect(outcome({ ran: 'ran', seconds: 12 }, carburettor)).toBe('good');
    expect(outcome({ ran: 'ran', seconds: 45 }, carburettor)).toBe('doubtful');
    expect(outcome({ ran: 'ran', bar: 0.7 }, carburettor)).toBe('bad');
  });
  test('where to look first follows the pump', () => {
    expect(inWords(judgeStart({ ran: 'no' }, filed).next[0]!)).toMatch(/hum as the key goes on/);
    expect(inWords(judgeStart({ ran: 'no' }, carburettor).next[0]!)).toMatch(/hand primer/);
    expect(texts({ ran: 'ran', primed: 3.4 })).toContain('after priming: as this engine asks');
    expect(outcome({ ran: 'ran', bar: 3 }, { ...rail, fuelSystem: { pump: 'unknown' } })).toBe('unknown');
  });
});

describe('fault codes before and after', () => {
  test.each([
    [[], [], 'good'],
    [['P0460'], ['P0460'], 'doubtful'],
    [['P0460'], ['P0460', 'P0455'], 'bad'],
    [null, ['P0455'], 'unknown'],
    [['P0460'], null, 'unknown'],
  ] as const)('%j, then %j: %s', (before, after, is) => {
    expect(judgeCodes({ before, after }).outcome).toBe(is);
  });
});

describe('in the log', () => {
  test('an engine that does not run is owed until it does; a new code until it is gone', () => {
    const job = tell({ complaint: 'pump', vehicle: filed });
    const debts = () =>
      owed(job.state)
        .filter(({ key }) => key === 'start' || key === 'codes')
        .map(({ key }) => key);
    job.say('engineStarted', { ran: 'no' });
    expect(debts()).toEqual(['start']);
    job.say('engineStarted', { ran: 'ran', bar: 3.5, volts: 12.5 });
    expect(debts()).toEqual([]);
    job.say('codesRead', { when: 'before', codes: ['P0460'] });
    job.say('codesRead', { when: 'after', codes: ['P0455'] });
    expect(debts()).toEqual(['codes']);
    expect(inWords(codesOf(job.state).reasons[0]!.text)).toBe('new since the work: P0455');
    job.say('codesRead', { when: 'after', codes: [] });
    expect(debts()).toEqual([]);
    const lines = recordLines(job.state).map(({ text }) => inWords(text));
    expect(lines).toContain('codes: no code after the work');
    expect(lines).toContain('first start: it starts and runs');
  });
  test.each([
    ['engineStarted', { ran: 'perhaps' }, 'ran'],
    ['engineStarted', { ran: 'ran', bar: 80 }, 'bar'],
    ['engineStarted', { ran: 'ran', volts: -1 }, 'volts'],
    ['codesRead', { when: 'after', codes: ['x'] }, 'codes'],
    ['codesRead', { when: 'now', codes: [] }, 'when'],
  ] as const)('%s %j is refused with its field', (kind, body, field) => {
    expect(() => checkBody(kind, body as never)).toThrow(field);
  });
});
