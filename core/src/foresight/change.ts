import { measured } from '../basis/index.ts';
import { slackOf, type TankState } from '../hang/index.ts';
import { estimateOf, foundOut, MORE_TILT, REACH, type Range } from '../vehicle/index.ts';

/** One thing that might be otherwise. All mm but the helper. */
export type Change =
  | { what: 'longer'; line: string; mm: number }
  | { what: 'slack'; line: string; mm: number }
  | { what: 'reach'; way: string; mm: number }
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
      const had = slackOf(state, line);
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
    case 'reach':
      return { ...state, vehicle: foundOut(vehicle, { question: REACH.id, of: change.way, value: change.mm }) };
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
      return { ...state, shop: { ...state.shop, helperMinutes: 0 } };
    case 'tilt':
      return { ...state, vehicle: foundOut(vehicle, { question: MORE_TILT.id, of: null, value: change.mm }) };
  }
}
