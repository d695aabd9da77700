import { pumpWord } from './pump.ts';
import type { VehicleFile } from './types.ts';

/** One place where two files differ. */
interface Difference {
  /** Where, in words: “feed line: slack”. */
  where: string;
  a: string;
  b: string;
}

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/**
 * Where two vehicle files differ, thing by thing; the order in which things stand does not matter.
 *
 * @example difference(a, b)[0] // { where: 'feed line: slack', a: '20–60', b: '35–45' }
 */
export function difference(a: VehicleFile, b: VehicleFile): Difference[] {
  const out: Difference[] = [];
  const skip = new Set(['id', 'name', 'schemaVersion', 'basis', 'seen']);
  const walk = (x: Json | undefined, y: Json | undefined, where: string): void => {
    if (JSON.stringify(x) === JSON.stringify(y)) return;
    if (isRange(x) || isRange(y) || !isObject(x) || !isObject(y)) {
      if (Array.isArray(x) && Array.isArray(y) && named(x) && named(y)) return byId(x, y, where);
      out.push({ where, a: said(x), b: said(y) });
      return;
    }
    for (const key of [...new Set([...Object.keys(x), ...Object.keys(y)])])
      if (!skip.has(key)) walk(x[key], y[key], where ? `${where}: ${wordOf(key)}` : wordOf(key));
  };
  const byId = (x: Named[], y: Named[], where: string): void => {
    for (const id of [...new Set([...x, ...y].map((t) => t.id))]) {
      const [one, other] = [x.find((t) => t.id === id), y.find((t) => t.id === id)];
      const name = (one ?? other)!.name ?? id;
      if (one && other)
        walk(one as unknown as Json, other as unknown as Json, where.includes(':') ? `${where}, ${name}` : name);
      else out.push({ where: name, a: one ? 'there' : 'not there', b: other ? 'there' : 'not there' });
    }
  };
  walk(a as unknown as Json, b as unknown as Json, '');
  return out;
}

interface Named {
  id: string;
  name?: string;
}
const isObject = (v: Json | undefined): v is { [key: string]: Json } =>
  typeof v === 'object' && v !== null && !Array.isArray(v);
const isRange = (v: Json | undefined): boolean => isObject(v) && 'lo' in v && 'hi' in v;
const named = (v: unknown[]): v is Named[] => v.every((t) => typeof t === 'object' && t !== null && 'id' in t);
const words: Record<string, string> = {
  blocksAt: 'blocks at',
  visibleFrom: 'seen from',
  reachFrom: 'reached from',
  reachTo: 'reached to',
  tiltLimit: 'tilt let',
  clear: 'clear',
  fuelSystem: 'fuel system',
  pump: 'what pushes it',
  place: 'where that sits',
  carriedBy: 'carried by',
};
const wordOf = (key: string): string => words[key] ?? key;
function said(v: Json | undefined): string {
  if (v === undefined || v === null) return 'not there';
  if (isRange(v)) {
    const { lo, hi } = v as unknown as { lo: number; hi: number };
    return lo === hi ? String(lo) : `${lo}–${hi >= 9999 ? 'open' : hi}`;
  }
  if (typeof v === 'string' && v in pumpWord) return pumpWord[v as keyof typeof pumpWord];
  return typeof v === 'object' ? JSON.stringify(v) : String(v);
}
