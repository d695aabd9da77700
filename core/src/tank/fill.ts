import { commonPractice } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';

/** First fill, then a look at every joint, L; common practice, no source. Then half, then full. */
export const FIRST_FILL: Estimate = { lo: 8, typ: 9, hi: 10, basis: commonPractice };
