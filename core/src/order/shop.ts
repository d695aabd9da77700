/** What a judgement needs of the shop. It stands in the log, so that a later setting never changes a job. */
export interface ShopFigures {
  /** What one may take off a jack, kg. */
  alone: number;
  /** What two may take off a jack, kg. */
  two: number;
  /** What one may hold lying or kneeling under it, kg; left out: where every shop starts. */
  lying?: number;
  /** What it costs to call a second pair of hands, minutes; 0 where one stands by. */
  helperMinutes: number;
  /** A jack goes this much too far, mm. */
  overshoot: number;
  /** The eye errs by this much when it judges play, mm. */
  eye: number;
}

/** Calling a second pair of hands from their own work, minutes; common practice, no source. What a shop starts with. */
const HELPER_MINUTES = 5;

/** Where a shop starts; common practice, no source. */
export const startingFigures: ShopFigures = {
  alone: 25,
  two: 30,
  lying: 15,
  helperMinutes: HELPER_MINUTES,
  overshoot: 10,
  eye: 10,
};

/**
 * What of a shop's own rules a judgement in a job needs, as it stands in the log.
 *
 * @example figuresOf({ alone: 25, two: 30, lying: 15, helper: 5 }).helperMinutes // 5
 */
export const figuresOf = ({
  alone,
  two,
  lying,
  helper,
}: {
  alone: number;
  two: number;
  lying: number;
  helper: number;
}): ShopFigures => ({
  ...startingFigures,
  alone,
  two,
  lying,
  helperMinutes: helper,
});
