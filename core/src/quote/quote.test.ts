import { said } from '../job/testing.ts';
import type { Complaint } from '../order/index.ts';
import Papa from 'papaparse';
import { InputError } from '../errors/index.ts';
import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { lowerMinutes } from '../waysIn/index.ts';
import { quoteCsv, quoteJsonLines, quoteOf } from './index.ts';

const write = logWriter('job');
const job = (complaint: Complaint = 'pump', answers: Record<string, string> = {}): JobState =>
  foldJob(null, [
    write('opened', { name: 'Van', complaint, vehicle: archetypes[1]!, gauge: 0.5 }),
    ...Object.entries(answers).map(([question, value]) => write('answer', said(question, value))),
  ])!;
const priced = { currency: 'kr', hour: 600, disposal: 12 };

describe('quote', () => {
  test('hours are the sum of their lines, and low ≤ likely ≤ high in each', () => {
    const quote = quoteOf(job(), priced);
    const work = quote.lines.filter((l) => l.kind === 'work' || l.kind === 'spread');
    for (const end of ['lo', 'typ', 'hi'] as const)
      expect(quote.hours[end]).toBeCloseTo(
        work.reduce((sum, l) => sum + l.amount[end], 0),
        9,
      );
    for (const { amount } of quote.lines) expect(amount.lo <= amount.typ && amount.typ <= amount.hi).toBe(true);
    // The drop with what is in the way is what lowering takes.
    const lowering = work.filter((l) => /take the tank down|in the way/.test(l.what));
    expect(lowering.reduce((sum, l) => sum + l.amount.typ, 0) * 60).toBeCloseTo(lowerMinutes(job()).total.typ, 6);
  });
  test('no price is made up: what has none is named and there is no sum', () => {
    const quote = quoteOf(job(), { currency: '', hour: null, disposal: null });
    expect(quote.sum).toBeNull();
    expect(quote.missing).toContain('price of an hour');
    expect(quote.missing).toContain('ring seal');
  });
  test('with every price there the sum is hours × rate and the parts; options stay out', () => {
    const parts = {
      'price seal': '90',
      'price pump': '2400',
      'price strainer': '60',
      'price filter': '150',
      'price ring': '200',
      'price ears': '5',
    };
    const quote = quoteOf(job('pump', parts), priced);
    expect(quote.missing).toEqual([]);
    const always = quote.lines.filter((l) => l.kind === 'part').reduce((sum, l) => sum + l.price!.typ, 0);
    expect(quote.sum!.typ).toBeCloseTo(quote.hours.typ * 600 + always, 6);
    expect(quote.lines.find((l) => l.what === 'lock ring')).toMatchObject({ kind: 'option', price: { typ: 200 } });
  });
  test('bad fuel is disposed of; else only as an option', () => {
    const kind = (complaint: Complaint) =>
      quoteOf(job(complaint), priced).lines.find((l) => l.what === 'fuel to dispose of')!.kind;
    expect(kind('badFuel')).toBe('disposal');
    expect(kind('pump')).toBe('option');
    expect(quoteOf(job('rust'), priced).lines.some((l) => l.kind === 'wait')).toBe(true);
  });
  test('CSV and JSON lines read back to the same figures', () => {
    const quote = quoteOf(job(), priced);
    const { data } = Papa.parse<Record<string, string>>(quoteCsv(quote), { header: true });
    const lines = quoteJsonLines(quote)
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as Record<string, unknown>);
    expect(data).toHaveLength(quote.lines.length);
    expect(lines).toHaveLength(quote.lines.length);
    quote.lines.forEach((line, i) => {
      expect(Number(data[i]!.likely)).toBeCloseTo(line.amount.typ, 2);
      expect(lines[i]!.high).toBeCloseTo(line.amount.hi, 2);
      expect(lines[i]!.what).toBe(line.what);
    });
  });
  test('a price below nothing is refused', () => {
    expect(() => quoteOf(job(), { currency: 'kr', hour: -1, disposal: null })).toThrow(InputError);
  });
});
