/** One reading of a sweep. */
export interface SweepReading {
  /** What the meter shows, Ω; null: open, it shows nothing. */
  ohms: number | null;
  /** Height of the float over its empty stop, mm, where somebody measured it. */
  mm?: number;
  /** When it was read, s from the first of its way, where the meter says: a stretch that nobody read is no jump. */
  seconds?: number;
}

/** One slow way of the arm from stop to stop. */
export interface Pass {
  /** From empty to full, or back. */
  way: 'up' | 'down';
  /** One after the other. */
  readings: readonly SweepReading[];
}

/** A place of the travel, by the ohms on either side. */
export interface OhmPlace {
  /** Ω on the side nearer to empty; null: from the stop on. */
  from: number | null;
  /** Ω on the side nearer to full; null: to the stop. */
  to: number | null;
}
