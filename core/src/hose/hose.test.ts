import { describe, expect, test } from '@jest/globals';
import { inWords } from '../quantity/index.ts';
import { judgeBore } from './index.ts';

describe('bore on pipe; common practice, no source', () => {
  test.each([
    [7.94, 7.94, 'good'], // 5/16 on 5/16
    [7.94, 8, 'good'], // 5/16 hose on a pipe of 8 mm: a shade tighter
    [8, 7.94, 'good'], // 0.8 % bigger
    [9.53, 7.94, 'bad'], // 3/8 on 5/16: one size up
    [7.52, 8, 'good'], // 6 % tighter
    [7.4, 8, 'doubtful'], // 7.5 %
    [7.3, 8, 'bad'], // 8.75 %
    [8.16, 8, 'doubtful'], // 2 % bigger
    [8.3, 8, 'bad'],
    [7.94, 9.53, 'bad'], // 5/16 on 3/8 will not go on
  ])('%d on %d mm is %s', (bore, pipe, outcome) => {
    expect(judgeBore(bore, pipe).outcome).toBe(outcome);
  });
  test('says by how much', () => {
    expect(inWords(judgeBore(9.53, 7.94).reasons[0]!.text)).toBe('bigger than the pipe by 20 %: no clamp cures that');
    expect(inWords(judgeBore(7.3, 8).reasons[0]!.text)).toBe('tighter than the pipe by 8.8 %');
    expect(() => judgeBore(0, 8)).toThrow(/bore/);
    expect(() => judgeBore(8, 800)).toThrow(/pipe/);
  });
});
