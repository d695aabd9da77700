import { describe, expect, test } from '@jest/globals';
import { readSweep, writeSweep } from './index.ts';

describe('a sweep as a table', () => {
  test('passes by number, open where it shows nothing', () => {
    expect(readSweep('pass;ohms\n1;20,5\n1;open\n1;\n2;80')).toEqual([
      { way: 'up', ohms: [20.5, null, null] },
      { way: 'down', ohms: [80] },
    ]);
    expect(readSweep('ohms\n20\n80')).toEqual([{ way: 'up', ohms: [20, 80] }]);
    expect(readSweep('kΩ;pass\n0,02;2')).toEqual([{ way: 'down', ohms: [20] }]);
  });
  test('written and read again it is the same, two ways up one after the other too', () => {
    const passes = [
      { way: 'up' as const, ohms: [20, null, 80] },
      { way: 'up' as const, ohms: [20, 50] },
      { way: 'down' as const, ohms: [80, 20] },
    ];
    expect(readSweep(writeSweep(passes))).toEqual(passes);
  });
  test('times where a heading names them, each way from its own first reading; read and written again', () => {
    const passes = readSweep('seconds;pass;ohms\n10;1;20\n10,4;1;open\n30,1;2;80\n30,5;2;78');
    expect(passes).toEqual([
      { way: 'up', ohms: [20, null], seconds: [0, 0.4] },
      { way: 'down', ohms: [80, 78], seconds: [0, 0.4] },
    ]);
    expect(writeSweep(passes).split('\r\n')[0]).toBe('pass;ohms Ω;seconds s');
    expect(readSweep(writeSweep(passes))).toEqual(passes);
    // Half of them would say that the others had none.
    expect(writeSweep([...passes, { way: 'up', ohms: [20] }]).split('\r\n')[0]).toBe('pass;ohms Ω');
  });
  test.each([
    ['1,20,5', /semicolons where figures have commas/],
    ['pass;ohms;seconds\n1;20;5\n1;22;4', /row 2 \(seconds\): expected a time no earlier/],
    ['pass;ohms;seconds\n1;20;0\n1;22;90000', /row 2 \(seconds\): expected a time within an hour/],
    ['pass;ohms;seconds\n1;20;0\n1;22;', /line 3, column 3 \(seconds\): expected a figure, found nothing/],
    ['pass;ohms\n1;20\n0;30', /row 2 \(pass\): expected a whole number from 1 to 12/],
    ['pass;ohms\n1;about 20', /line 2, column 2 \(ohms\): expected a figure/],
    ['pass;volts\n1;20', /a column of ohms/],
    ['', /nothing/],
  ])('%j is refused', (text, why) => {
    expect(() => readSweep(text)).toThrow(why);
  });
});
