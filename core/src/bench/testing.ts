import { exactly } from '../estimate/index.ts';
import { judgeGate } from '../gates/index.ts';
import { tell } from '../job/testing.ts';
import { archetypes, unitOf, type VehicleFile } from '../vehicle/index.ts';

/** A van with a module under its ring: 20 to 80 Ω, 90 kW at 3.9 bar. */
export const van: VehicleFile = {
  ...archetypes[0]!,
  fuel: 'petrol',
  fuelSystem: { pump: 'electricHigh', engine: { kilowatts: exactly(90), bar: exactly(3.9) } },
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};
export const rated = { volts: 12, flow: 90, bar: 3.9 };

export const start = (complaint: 'pump' | 'level' | 'rust' = 'pump') => tell({ complaint, vehicle: van });
export const part = (id: string) => unitOf(van).parts.find((p) => p.id === id)!;
export const ids = unitOf(van).parts.map((p) => p.id);
export const ramp = (open: [number, number] | null) => {
  const one = (share: number) => (open && share >= open[0] && share <= open[1] ? null : 20 + 60 * share);
  const way = Array.from({ length: 60 }, (_, i) => Math.min(1, Math.max(0, (i / 59) * 1.4 - 0.2)));
  return [
    { way: 'up' as const, ohms: way.map(one) },
    { way: 'down' as const, ohms: way.map((share) => one(1 - share)) },
  ];
};
export const item = (state: ReturnType<typeof start>['state'], id: string) =>
  judgeGate(state, 3).find((one) => one.item.id === id);
