/**
 * A small repeatable source of numbers in [0, 1): the same seed gives the same rehearsal on every machine
 * (32-bit multiply–xorshift; only for rehearsals, never for secrets).
 *
 * @example const rng = seeded(7); rng()
 */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
