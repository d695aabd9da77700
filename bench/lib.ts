/** The middle one of them. @example middle([3, 1, 2]) // 2 */
export const middle = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[times.length >> 1]!;

/** Median of many runs, ms, after a few to warm up. */
export function median(work: () => void, runs = 60): number {
  for (let i = 0; i < Math.min(5, runs / 3); i++) work();
  return middle(
    Array.from({ length: runs }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
}

/** One line of the table: how many times the yardstick. */
export const row = (what: string, ms: number, against: string, base: number): void =>
  console.log(`${what.padEnd(44)} ${ms.toFixed(3)} ms   ${(ms / base).toFixed(2)} × ${against}`);
