import { InputError } from '../errors/index.ts';
import { inWords } from '../quantity/index.ts';
import { judgeNut, threadsOfNut } from './index.ts';

const words = (of: ReturnType<typeof judgeNut>) => of.verdict.reasons.map((one) => inWords(one.text));

describe('nut and stud end', () => {
  test('bolt and nut of one size take two tools of it', () => {
    const judged = judgeNut({ across: 13, end: { kind: 'hex', across: 13 } });
    expect(words(judged)).toContain('two tools of one size: 13 mm on both ends');
    expect(judged.verdict.next.join()).toContain('a second one of it here');
  });
  test('of two sizes: one of each, and nothing else to say', () => {
    const judged = judgeNut({ across: 13, end: { kind: 'hex', across: 17 } });
    expect(judged.verdict.outcome).toBe('good');
    expect(words(judged)).toEqual(['nut: 13 mm sits', 'other end: 17 mm sits']);
  });
  test('a square end takes twelve points', () => {
    const { end } = judgeNut({ across: 13, end: { kind: 'square', across: 10 } });
    expect(end!.verdict.next[0]).toMatch(/^twelve points/);
  });
  test('a stud with nothing to hold: two nuts, or out with its nut', () => {
    const judged = judgeNut({ across: 13, end: { kind: 'none' } });
    expect(judged.end).toBeNull();
    expect(judged.verdict.outcome).toBe('doubtful');
    expect(judged.verdict.next[0]).toMatch(/jammed .* stud back first/);
  });
  // ISO 4032 and DIN 934, ASME B18.2.2, from memory: M8 13, M10 16 or 17, M12 18 or 19, 3/8 in 9/16 in.
  test.each([
    [13, ['M8', '5/16']],
    [16, ['M10', '7/16']],
    [17, ['M10', '7/16']],
    [19, ['M12', '1/2']],
    [14.29, ['3/8']],
    [10, ['M6']],
  ])('%d mm across sits on %j', (across, threads) => {
    for (const thread of threads.slice(0, 1)) expect(threadsOfNut(across)).toContain(thread);
    expect(threads).toEqual(expect.arrayContaining(threadsOfNut(across)));
  });
  test('a nut that is not of its thread is said', () => {
    expect(words(judgeNut({ across: 17, thread: 'M8', end: { kind: 'none' } }))).toContain('no usual nut of M8');
    expect(words(judgeNut({ across: 12.8, thread: 'M8', end: { kind: 'none' } }))).not.toContain('no usual nut of M8');
  });
  test('what cannot be is refused', () => {
    expect(() => judgeNut({ across: 2, end: { kind: 'none' } })).toThrow(InputError);
    expect(() => judgeNut({ across: 13, thread: 'M7', end: { kind: 'none' } })).toThrow('thread');
    expect(() => judgeNut({ across: 13, end: { kind: 'hex', across: 90 } })).toThrow(InputError);
  });
});
