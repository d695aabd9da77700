import { describe, expect, test } from '@jest/globals';
import { readColumns, writeColumns, type Column } from './index.ts';

const time: Column = { names: ['time', 't', 'seconds'], dimension: 'duration', unit: 's' };
const pressure: Column = { names: ['pressure', 'p'], dimension: 'pressure', unit: 'Pa' };
const ohms: Column = { names: ['ohms', 'resistance'], dimension: 'resistance', unit: 'Ω', open: true };

describe('a table of figures', () => {
  test.each([
    ['commas', '0,3487\n1,3480'],
    ['semicolons', '0;3487\n1;3480'],
    ['tabs', '0\t3487\n1\t3480'],
    ['a heading', 'time,pressure\n0,3487\n1,3480'],
    ['a heading in another order', 'p;t\n3487;0\n3480;1'],
    ['units of its own', 'time (s);pressure [kPa]\n0;3,487\n1;3,480'],
    ['a mark at its start and empty lines', '\uFEFF0;3487\r\n\r\n1;3480\r\n'],
    ['columns nobody asked for', 'n;t;note;p\n1;0;begins;3487\n2;1;;3480'],
  ])('with %s', (_, text) => {
    const rows = readColumns(text, [time, pressure]);
    expect(rows.map(([s, pa]) => [s, Math.round(pa! * 1000) / 1000])).toEqual([
      [0, 3487],
      [1, 3480],
    ]);
  });
  test('inches of water are pascals', () => {
    expect(readColumns('inH2O;s\n14;0', [time, pressure])[0]![1]).toBeCloseTo(3487.245, 3);
  });
  test('open where a column may be', () => {
    expect(readColumns('t;ohms\n0;20\n1;open\n2;\n3;OL', [time, ohms]).map((row) => row[1])).toEqual([
      20,
      null,
      null,
      null,
    ]);
    expect(readColumns('p\n3', [{ ...time, optional: true }, pressure])).toEqual([[null, 3]]);
  });
  test('a column that only a heading makes is never taken for one by its place', () => {
    const three = [pressure, { ...time, optional: true, headed: true }];
    expect(readColumns('3', three)).toEqual([[3, null]]);
    expect(() => readColumns('3,5', three)).toThrow(/semicolons where figures have commas/);
    expect(readColumns('kPa;volts\n3;5', three)).toEqual([[3000, null]]);
    expect(readColumns('Pa;min\n3;0.5', three)).toEqual([[3, 30]]);
  });
  test.each([
    ['', /nothing/],
    ['time;pressure', /heading only/],
    ['time;volts\n0;3', /a column of pressure or p/],
    ['0;3487\n1;about 3480', /line 2, column 2 \(pressure\): expected a figure, found “about 3480”/],
    ['t;p\n0;3487\n1', /line 3, column 2 \(pressure\): expected a figure, found nothing/],
    ['0,3487,5\n1,3480,2', /semicolons where figures have commas/],
    ['0;0x1F', /a figure/],
  ])('%j is refused, with its line and column', (text, why) => {
    expect(() => readColumns(text, [time, pressure])).toThrow(why);
  });
  test('written and read again it is the same', () => {
    const rows = [
      [0, 20.1],
      [1, null],
    ];
    const text = writeColumns([time, ohms], rows);
    expect(text.split('\r\n')[0]).toBe('time s;ohms Ω');
    expect(readColumns(text, [time, ohms])).toEqual(rows);
  });
});
