import { readColumns, type Column } from '../columns/index.ts';

const COLUMNS: readonly Column[] = [
  { names: ['level', 'height', 'depth'], dimension: 'length', unit: 'mm' },
  { names: ['litres', 'volume', 'contents'], dimension: 'volume', unit: 'L' },
];

/**
 * A level table from CSV: level and litres. Levels in mm and volumes in litres, unless the heading says otherwise.
 *
 * @throws InputError naming line and column that are wrong
 * @example readLevelTable('mm;litres\n0;0\n100;24,5') // [[0, 0], [100, 24.5]]
 */
export const readLevelTable = (text: string): [number, number][] =>
  readColumns(text, COLUMNS).map(([mm, litres]) => [mm!, litres!]);
