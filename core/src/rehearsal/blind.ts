import type { VehicleFile } from '../vehicle/index.ts';
import type { Truth } from '../truth/index.ts';

/** Without a plan, what people do: 25 mm at a time, part whatever a hand then gets to, look at nothing. */
export interface Blind {
  /** Lines that went past their slack. */
  pulled: string[];
  /** Steps it took. */
  stops: number;
}

/** How far people lower who have no plan, mm; common practice, no source. */
const STEP = 25;

/**
 * Takes a hidden vehicle down in steps of 25 mm, clearing what is in the way first and parting every line a hand really
 * reaches at each step. For comparison only.
 *
 * @example blind(rail, truthInside(rail, seeded(1))).pulled // ['vent']
 */
export function blind(vehicle: VehicleFile, truth: Truth): Blind {
  const on = new Set(vehicle.connections.map((c) => c.id));
  const pulled: string[] = [];
  let stops = 0;
  for (let drop = 0; drop <= vehicle.clear && on.size > 0; drop += STEP) {
    stops += 1;
    for (const line of vehicle.connections) {
      if (!on.has(line.id) || truth.slack[line.id]! >= drop) continue;
      pulled.push(line.id);
      on.delete(line.id);
    }
    for (const line of vehicle.connections)
      if (on.has(line.id) && line.part.some((w) => truth.reachFrom[w.id]! <= drop && drop <= truth.reachTo[w.id]!))
        on.delete(line.id);
  }
  return { pulled, stops };
}
