/** Median of many runs, ms, after a few to warm up. */
export function median(work: () => void, runs = 60): number {
  for (let i = 0; i < Math.min(5, runs / 3); i++) work();
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
}

/** One line of the table: how many times the yardstick. */
export const row = (what: string, ms: number, against: string, base: number): void =>
  console.log(`${what.padEnd(44)} ${ms.toFixed(3)} ms   ${(ms / base).toFixed(2)} × ${against}`);
