/** Standard gravity, m/s². Published: ISO 80000-3, by definition. */
export const GRAVITY = 9.80665;

/** Standard atmosphere, Pa. Published: ISO 2533, by definition. */
export const ATMOSPHERE = 101_325;

/** Molar gas constant, J/(mol·K). Published: SI of 2019, by definition. */
export const GAS = 8.314462618;
