import { measured } from '../basis/index.ts';
import { gridDown, type TankState } from '../stops/index.ts';
import { estimateOf, type Range } from '../vehicle/index.ts';

/** One thing that might be otherwise. All mm but the helper. */
export type Change =
  | { what: 'longer'; line: string; mm: number }
  | { what: 'slack'; line: string; mm: number }
  | { what: 'reach'; thing: string; way: string; mm: number }
  | { what: 'lower'; obstruction: string; mm: number }
  | { what: 'away'; obstruction: string }
  | { what: 'tilt'; mm: number }
  | { what: 'helper' };

const shift = (r: Range, by: number): Range => ({
  ...r,
  lo: Math.max(0, r.lo + by),
  typ: Math.max(0, r.typ + by),
  hi: Math.max(0, r.hi + by),
});

/**
 * The same tank with something changed; what was given stays as it is.
 *
 * @example changed(state, { what: 'longer', line: 'vent', mm: 45 })
 */
export function changed(state: TankState, change: Change): TankState {
  const { vehicle } = state;
  switch (change.what) {
    case 'longer':
    case 'slack': {
      const { line, mm } = change;
      const had = state.slack[line]!;
      const slack =
        change.what === 'longer'
          ? { ...shift(had, mm), basis: had.basis }
          : { lo: mm, typ: mm, hi: mm, basis: measured };
      const { [line]: _, ...taut } = state.taut;
      const connections = vehicle.connections.map((c) =>
        c.id === line && change.what === 'longer'
          ? { ...c, clips: c.clips.map((k) => ({ ...k, slack: shift(k.slack, mm) })) }
          : c,
      );
      return { ...state, vehicle: { ...vehicle, connections }, taut, slack: { ...state.slack, [line]: slack } };
    }
    case 'reach': {
      const { thing, way, mm } = change;
      const further = <W extends { id: string; reachFrom: Range; reachTo: Range }>(ways: W[]): W[] =>
        ways.map((w) =>
          w.id === way ? { ...w, reachFrom: shift(w.reachFrom, -mm), reachTo: shift(w.reachTo, mm) } : w,
        );
      return {
        ...state,
        vehicle: {
          ...vehicle,
          connections: vehicle.connections.map((c) => (c.id === thing ? { ...c, part: further(c.part) } : c)),
          obstructions: vehicle.obstructions.map((o) => (o.id === thing ? { ...o, clear: further(o.clear) } : o)),
        },
      };
    }
    case 'lower': {
      const { obstruction, mm } = change;
      return {
        ...state,
        extras: state.extras.map((e) => (e.id === obstruction ? { ...e, blocksAt: e.blocksAt + mm } : e)),
        vehicle: {
          ...vehicle,
          obstructions: vehicle.obstructions.map((o) =>
            o.id === obstruction && o.blocksAt
              ? { ...o, blocksAt: { ...estimateOf(vehicle, o.blocksAt), ...shift(o.blocksAt, mm) } }
              : o,
          ),
        },
      };
    }
    case 'away':
      return {
        ...state,
        extras: state.extras.filter((e) => e.id !== change.obstruction),
        vehicle: {
          ...vehicle,
          obstructions: vehicle.obstructions.filter((o) => o.id !== change.obstruction),
        },
      };
    case 'helper':
      return { ...state, helperMinutes: 0 };
    case 'tilt':
      return { ...state, vehicle: { ...vehicle, tiltLimit: Math.max(0, gridDown(vehicle.tiltLimit + change.mm)) } };
  }
}
