import { lengthIn, lengthText, scaleSteps } from './index.ts';

describe('lengths in a person’s units', () => {
  // 1 in = 25.4 mm by definition (international yard and pound agreement, 1959); nearest sixteenth by hand.
  test.each([
    [25.4, '1'],
    [40, '1 9/16'],
    [10, '3/8'],
    [100, '3 15/16'],
    [0, '0'],
    [612, '24 1/8'],
  ])('%d mm is %s in', (mm, inches) => {
    expect(lengthIn(mm, 'us')).toEqual({ figure: inches, unit: 'in', beside: null });
    expect(lengthIn(mm, 'both').beside).toBe(`${inches} in`);
  });

  test('metric is whole millimetres, both has inches beside', () => {
    expect(lengthIn(39.6, 'metric')).toEqual({ figure: '40', unit: 'mm', beside: null });
    expect(lengthText(40, 'metric')).toBe('40 mm');
    expect(lengthText(40, 'both')).toBe('40 mm (1 9/16 in)');
    expect(lengthText(40, 'us')).toBe('1 9/16 in');
  });

  test('scales step in whole inches or round millimetres', () => {
    expect(scaleSteps('us')[0]).toBe(25.4);
    expect(scaleSteps('both')).toEqual(scaleSteps('metric'));
  });
});
