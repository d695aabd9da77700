/** Heights are logged and planned on this grid, mm: finer no jack is set by hand. Common practice, no source. */
export const GRID = 5;

/** Down to the grid, mm. @example gridDown(44) // 40 */
export const gridDown = (mm: number): number => Math.floor(mm / GRID) * GRID;
/** Up to the grid, mm. @example gridUp(41) // 45 */
export const gridUp = (mm: number): number => Math.ceil(mm / GRID) * GRID;
/** To the nearest step of the grid, mm. @example gridNearest(43) // 45 */
export const gridNearest = (mm: number): number => Math.round(mm / GRID) * GRID;
