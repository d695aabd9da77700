import type { TableShape } from './types.ts';

/**
 * Share of full at a level, 0 to 1, straight between the rows.
 *
 * @example tableShare({ kind: 'table', length, width, height, rows: [[0, 0], [100, 40]] }, 25) // 0.25
 */
export function tableShare({ rows }: TableShape, mm: number): number {
  const most = rows.at(-1)![1];
  if (mm <= rows[0]![0]) return mm < rows[0]![0] ? 0 : rows[0]![1] / most;
  for (let i = 1; i < rows.length; i++) {
    const [[l0, v0], [l1, v1]] = [rows[i - 1]!, rows[i]!];
    if (mm <= l1) return (v0 + ((v1 - v0) * (mm - l0)) / (l1 - l0)) / most;
  }
  return 1;
}

/**
 * Level at a share of full, mm; the other way round.
 *
 * @example tableLevel({ kind: 'table', length, width, height, rows: [[0, 0], [100, 40]] }, 0.25) // 25
 */
export function tableLevel({ rows }: TableShape, share: number): number {
  const litres = share * rows.at(-1)![1];
  if (litres <= rows[0]![1]) return rows[0]![0];
  for (let i = 1; i < rows.length; i++) {
    const [[l0, v0], [l1, v1]] = [rows[i - 1]!, rows[i]!];
    if (litres <= v1) return l0 + ((l1 - l0) * (litres - v0)) / (v1 - v0);
  }
  return rows.at(-1)![0];
}
