import { InputError, shapeLitres, type TankShape } from '@iron-cradle/core';
import { emptyForm, fieldsOf, shapeOf, type Kind } from './shapeForm.ts';

const shapes: Record<Kind, TankShape> = {
  box: {
    kind: 'box',
    length: 900,
    width: 400,
    height: 220,
    taper: { first: 40, second: 90 },
    sump: { x: 300, y: 200, length: 150, width: 120, depth: 30 },
  },
  cylinder: { kind: 'cylinder', length: 1000, width: 300, height: 300 },
  lobes: {
    kind: 'lobes',
    length: 900,
    width: 420,
    height: 240,
    over: 'y',
    hump: { from: 150, to: 270, height: 85, slope: 20 },
  },
  profile: {
    kind: 'profile',
    length: 800,
    width: 350,
    height: 250,
    points: [
      [0, 40],
      [300, 0],
      [800, 0],
      [800, 200],
      [500, 250],
      [0, 250],
    ],
  },
  table: {
    kind: 'table',
    length: 900,
    width: 400,
    height: 200,
    rows: [
      [0, 0],
      [100, 24.5],
      [200, 60],
    ],
  },
};
const kinds = Object.keys(shapes) as Kind[];

describe('the form of a shape', () => {
  test.each(kinds)('%s: what stands in the form is the shape it came from', (kind) => {
    expect(shapeOf(emptyForm(shapes[kind]))).toEqual(shapes[kind]);
  });

  test.each(kinds)('%s: a measure left empty is named as it stands on the screen', (kind) => {
    for (const [field, label] of fieldsOf[kind]) {
      if (field.endsWith('?')) continue;
      const form = emptyForm(shapes[kind]);
      const { [field]: _, ...rest } = form.mm;
      expect(() => shapeOf({ ...form, mm: rest })).toThrow(InputError);
      expect(() => shapeOf({ ...form, mm: rest })).toThrow(label);
    }
  });

  test('a sump in the middle where nobody says where, tapers only where there are some', () => {
    const form = emptyForm(shapes.box);
    const { sumpX: _, first: __, second: ___, ...mm } = form.mm;
    expect(shapeOf({ ...form, mm })).toMatchObject({ sump: { x: 450, y: 200 } });
    expect(shapeOf({ ...form, mm })).not.toHaveProperty('taper');
    expect(shapeOf({ ...form, mm: { length: 900, width: 400, height: 220 } })).toEqual({
      kind: 'box',
      length: 900,
      width: 400,
      height: 220,
    });
  });

  test('points are read as people write them, and a wrong one is named by its number', () => {
    const form = { ...emptyForm(shapes.profile), text: '0 0\n800; 0\n\n800,200\n0, 240' };
    expect(shapeLitres(shapeOf(form))).toBeCloseTo(((800 * (200 + 240)) / 2 / 1e6) * 350, 6);
    expect(() => shapeOf({ ...form, text: '0,0\n800,zero\n0,240' })).toThrow(/point 2/);
    expect(() => shapeOf({ ...form, text: '0,0,5\n800,0\n0,240' })).toThrow(/point 1/);
    expect(() => shapeOf({ ...form, text: '0,0\n800,0' })).toThrow(/three points/);
  });

  test('a table that does not rise, or stands higher than the tank, is refused with its row', () => {
    const form = { ...emptyForm(shapes.table), text: '0,0\n100,30\n100,40' };
    expect(() => shapeOf(form)).toThrow(/row 3/);
    expect(() => shapeOf({ ...form, text: '0,0\n400,30' })).toThrow(/above the height/);
    expect(() => shapeOf({ ...form, text: '' })).toThrow(/columns of level, litres/);
  });
});
