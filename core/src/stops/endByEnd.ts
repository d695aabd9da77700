import type { Pose } from '../pose/index.ts';

/**
 * Heights to go through where a jack moves one end at a time. What is raised goes first; then the ends go down in turns,
 * each as far as the tilt lets it. No pose between hangs lower anywhere than the one it comes from or the one it goes to,
 * so every ceiling that lets those two lets it.
 *
 * @param tiltLimit how far one end may hang below the other, mm
 * @returns poses after `from`; the last is `to`
 * @example endByEnd({ f: 0, r: 0 }, { f: 40, r: 60 }, 30) // 0,30 · 40,30 · 40,60
 */
export function endByEnd(from: Pose, to: Pose, tiltLimit: number): Pose[] {
  const out: Pose[] = [];
  let now = from;
  const go = (next: Pose): boolean => {
    if (next.f === now.f && next.r === now.r) return false;
    out.push((now = next));
    return true;
  };
  for (let moved = true; moved;) {
    const up = go({ ...now, f: Math.min(now.f, Math.max(to.f, now.r - tiltLimit)) });
    const upOther = go({ ...now, r: Math.min(now.r, Math.max(to.r, now.f - tiltLimit)) });
    // The end with further to go is lowered first.
    const second = to.r - now.r >= to.f - now.f;
    const lowerR = () => go({ ...now, r: Math.max(now.r, Math.min(to.r, now.f + tiltLimit)) });
    const lowerF = () => go({ ...now, f: Math.max(now.f, Math.min(to.f, now.r + tiltLimit)) });
    const one = second ? lowerR() || lowerF() : lowerF() || lowerR();
    moved = one || up || upOther;
  }
  return out;
}
