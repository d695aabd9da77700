export { judgeRun, RUN_CAUTION, type RunJudged } from './judge.ts';
export { judgeSuction } from './suction.ts';
export { demandOf, feedsCarburettor, FLOODS, wantedBar } from './need.ts';
export { ampsOf, atRatedVolts, flowOf, leastVolts, type PumpRated, type PumpRun } from './run.ts';
