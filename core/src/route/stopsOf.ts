import { present } from '../errors/index.ts';
import { bit, type Prepared } from './prepare.ts';
import type { State } from './state.ts';
import type { RouteModel, RouteStop } from './types.ts';

/** The stops of a finished search: poses with their tilts, and what is done at each, things paid late put where they were done. */
export function stopsOf(p: Prepared, model: RouteModel, end: State): RouteStop[] {
  const chain: State[] = [];
  for (let s: State | null = end; s; s = s.parent) chain.unshift(s);
  const last = end.depth;
  const used: Set<number>[] = Array.from({ length: last + 1 }, () => new Set<number>());
  for (const s of chain) {
    for (const way of s.uses) used[s.depth]!.add(way);
    for (const { way, depth } of s.late) used[depth]!.add(way);
  }
  const poses = tiltsBack(p, chain);
  return used.map((ways, depth) => ({
    pose: depth === 0 ? model.start : poses[depth]!,
    uses: inOrder(p, [...ways]),
  }));
}

/** From the goal back: where the tilt stayed it is the same, where it changed any of the earlier ones will do. */
function tiltsBack(p: Prepared, chain: State[]): { f: number; r: number }[] {
  const poses: { f: number; r: number }[] = [];
  let tilt = -1;
  for (let i = chain.length - 1; i >= 0; i--) {
    const s = chain[i]!;
    const after = chain[i + 1];
    if (after && after.depth === s.depth) continue;
    if (tilt < 0 || !after?.sameTilt) tilt = p.tilts.findIndex((_, t) => bit(s.tilts, t));
    poses[s.depth] =
      s.group!.poses[Math.max(0, tilt)] ??
      present(
        s.group!.poses.find((pose) => pose !== undefined),
        'pose',
        s.depth,
      );
  }
  return poses;
}

/** What waits for nothing first, then by id. */
function inOrder(p: Prepared, ways: number[]): RouteStop['uses'] {
  const left = [...ways].sort((a, b) => p.ways[a]!.thing - p.ways[b]!.thing);
  const here = new Set(left.map((way) => p.ways[way]!.thing));
  const out: RouteStop['uses'] = [];
  while (left.length > 0) {
    const i = left.findIndex((way) => {
      const w = p.ways[way]!;
      const waits = [...here].some((t) => bit(w.after, t));
      const needed = left.some((other) => other !== way && bit(p.ways[other]!.before, w.thing));
      return !waits && !needed;
    });
    const [way] = left.splice(Math.max(0, i), 1);
    here.delete(p.ways[way!]!.thing);
    out.push({ thing: p.things[p.ways[way!]!.thing]!, way: p.ways[way!]!.id });
  }
  return out;
}
