export { verdictFrom, type Found } from './found.ts';
export { gravestFirst, gravestOf, outcomeWord, worst, type Outcome, type Verdict } from './verdict.ts';
