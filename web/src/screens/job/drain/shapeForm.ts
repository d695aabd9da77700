import { checkTank, InputError, readLevelTable, type TankShape } from '@iron-cradle/core';

/** Kind of a tank's shape. */
export type Kind = TankShape['kind'];

/** What each kind asks for, in mm; those with a question mark may stay empty. */
export const fieldsOf: Record<Kind, readonly [id: string, label: string][]> = {
  box: [
    ['length', 'Length'],
    ['width', 'Width'],
    ['height', 'Height, with the sump'],
    ['first?', 'Floor shorter at the first end'],
    ['second?', 'Floor shorter at the second end'],
    ['sumpDepth?', 'Sump: depth'],
    ['sumpLength?', 'Sump: length'],
    ['sumpWidth?', 'Sump: width'],
    ['sumpX?', 'Sump: its middle from the first end'],
  ],
  cylinder: [
    ['length', 'Length'],
    ['width', 'Width across'],
    ['height', 'Height; as the width where it is round'],
  ],
  lobes: [
    ['length', 'Length'],
    ['width', 'Width'],
    ['height', 'Height'],
    ['from', 'Hump begins at'],
    ['to', 'Hump ends at'],
    ['hump', 'Hump: height'],
    ['slope?', 'Hump: width of a flank'],
  ],
  profile: [['width', 'Width']],
  table: [
    ['length', 'Length'],
    ['width', 'Width'],
    ['height', 'Height'],
  ],
};

/** A shape as it is typed, before it is one. */
export interface ShapeForm {
  /** Its kind. */
  kind: Kind;
  /** mm by field; absent while empty or not understood. */
  mm: Record<string, number>;
  /** Of two lobes: at the ends (x) or at the sides (y). */
  over: 'x' | 'y';
  /** Points of a profile or rows of a table, as typed. */
  text: string;
  /** What it holds, full, L; null where that stays as it is. */
  litres: number | null;
}

/** A form with the measures of a shape. @example emptyForm(file.tank.shape).kind */
export const emptyForm = (shape: TankShape): ShapeForm => {
  const mm: Record<string, number> = { length: shape.length, width: shape.width, height: shape.height };
  const form: ShapeForm = { kind: shape.kind, mm, over: 'x', text: '', litres: null };
  if (shape.kind === 'box') {
    if (shape.taper) Object.assign(mm, { first: shape.taper.first, second: shape.taper.second });
    if (shape.sump)
      Object.assign(mm, {
        sumpDepth: shape.sump.depth,
        sumpLength: shape.sump.length,
        sumpWidth: shape.sump.width,
        sumpX: shape.sump.x,
      });
  }
  if (shape.kind === 'lobes') {
    Object.assign(mm, { from: shape.hump.from, to: shape.hump.to, hump: shape.hump.height, slope: shape.hump.slope });
    form.over = shape.over;
  }
  if (shape.kind === 'profile') form.text = shape.points.map((p) => p.join(', ')).join('\n');
  if (shape.kind === 'table') form.text = ['mm,litres', ...shape.rows.map((r) => r.join(','))].join('\n');
  return form;
};

/**
 * The shape a form stands for.
 *
 * @throws InputError with the field and what was expected
 */
export function shapeOf(form: ShapeForm): TankShape {
  const need = (id: string): number => {
    const value = form.mm[id];
    const label = fieldsOf[form.kind].find(([f]) => f.replace('?', '') === id)?.[1] ?? id;
    if (value === undefined) throw new InputError(label, '', 'a length in mm');
    return value;
  };
  const maybe = (id: string) => form.mm[id] ?? 0;
  const measures = () => ({ length: need('length'), width: need('width'), height: need('height') });
  const shape = ((): TankShape => {
    switch (form.kind) {
      case 'box': {
        const size = measures();
        const sump = maybe('sumpDepth') > 0;
        return {
          kind: 'box',
          ...size,
          ...(maybe('first') > 0 || maybe('second') > 0
            ? { taper: { first: maybe('first'), second: maybe('second') } }
            : {}),
          ...(sump
            ? {
                sump: {
                  x: form.mm.sumpX ?? size.length / 2,
                  y: size.width / 2,
                  length: need('sumpLength'),
                  width: need('sumpWidth'),
                  depth: maybe('sumpDepth'),
                },
              }
            : {}),
        };
      }
      case 'cylinder':
        return { kind: 'cylinder', ...measures() };
      case 'lobes':
        return {
          kind: 'lobes',
          ...measures(),
          over: form.over,
          hump: { from: need('from'), to: need('to'), height: need('hump'), slope: maybe('slope') },
        };
      case 'profile': {
        const points = form.text
          .split('\n')
          .filter((line) => line.trim() !== '')
          .map((line, i): [number, number] => {
            const [x, z, ...more] = line
              .split(/[,;\s]+/)
              .filter(Boolean)
              .map(Number);
            if (x === undefined || z === undefined || more.length > 0 || !Number.isFinite(x) || !Number.isFinite(z))
              throw new InputError(`point ${i + 1}`, line, 'two numbers, along and up, in mm');
            return [x, z];
          });
        if (points.length < 3) throw new InputError('points', String(points.length), 'at least three points');
        return {
          kind: 'profile',
          width: need('width'),
          length: Math.max(...points.map((p) => p[0])),
          height: Math.max(...points.map((p) => p[1])),
          points,
        };
      }
      case 'table':
        return { kind: 'table', ...measures(), rows: readLevelTable(form.text) };
    }
  })();
  checkTank({ shape, outlet: null });
  return shape;
}
