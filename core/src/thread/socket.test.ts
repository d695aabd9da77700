import { describe, expect, test } from '@jest/globals';
import { inWords } from '../quantity/index.ts';
import { judgeSocket, sockets } from './index.ts';

const on = (across: number, head: 'hex' | 'square' = 'hex') =>
  judgeSocket({ across, head }).fits.map(({ socket, sits }) => `${socket.name} ${sits}`);
const outcome = (across: number) => judgeSocket({ across, head: 'hex' }).verdict.outcome;

describe('sockets have a direction; facts of the trade, common practice, no source', () => {
  // 5/16–8 differ by 0.06, 3/4–19 by 0.05, 7/16–11 by 0.11, 5/8–16 by 0.13 mm.
  test.each([
    [7.938, ['5/16 in snug', '8 mm snug']],
    [19, ['19 mm snug', '3/4 in snug']],
    [11, ['11 mm snug', '7/16 in snug']],
    [15.875, ['5/8 in snug', '16 mm snug']],
  ])('a head of %d takes %j', (across, names) => expect(on(across)).toEqual(names));
  test.each([
    [8, ['8 mm snug', '5/16 in squeezed']],
    [19.05, ['3/4 in snug', '19 mm squeezed']],
    [11.113, ['7/16 in snug']],
    [16, ['16 mm snug']],
  ])('the other way only these squeeze on: a head of %d takes %j', (across, names) =>
    expect(on(across)).toEqual(names),
  );
  test('fifteen: 9/16 is 0.71 too small, 5/8 0.88 too loose', () => {
    expect(on(15)).toEqual(['15 mm snug']);
    const by = (name: string) => sockets.find((s) => s.name === name)!.across - 15;
    expect(by('9/16 in')).toBeCloseTo(-0.71, 2);
    expect(by('5/8 in')).toBeCloseTo(0.875, 3);
  });
  test('a worn one: what is loose is said, and the next smaller is driven on', () => {
    const { verdict, smaller } = judgeSocket({ across: 12.6, head: 'hex' });
    expect(verdict.outcome).toBe('good');
    expect(outcome(12.3)).toBe('doubtful');
    const worn = judgeSocket({ across: 14.6, head: 'hex' });
    expect(worn.fits.map(({ sits }) => sits)).toEqual(['loose']);
    expect(worn.smaller?.name).toBe('9/16 in');
    expect(worn.verdict.next.map((n) => inWords(n))[0]).toMatch(/9\/16 in, driven on/);
    expect(smaller?.name).toBe('12 mm');
  });
  test('between two sizes nothing holds it', () => {
    const { fits, verdict } = judgeSocket({ across: 19.6, head: 'hex' });
    expect(fits).toEqual([]);
    expect(inWords(verdict.reasons[0]!.text)).toMatch(/between two sizes/);
  });
  test('a square head takes twelve points', () =>
    expect(judgeSocket({ across: 8, head: 'square' }).verdict.next.join()).toMatch(/twelve points/));
  test.each([4.9, 30.1, Number.NaN])('%d is refused', (across) =>
    expect(() => judgeSocket({ across, head: 'hex' })).toThrow(/5 to 30/),
  );
  // ISO 272, from memory: width across flats of M6, M8, M10, M12 and M14 hexagons.
  test('the usual heads have a socket of their own', () => {
    for (const across of [10, 13, 16, 18, 21]) expect(on(across)[0]).toBe(`${across} mm snug`);
  });
});
