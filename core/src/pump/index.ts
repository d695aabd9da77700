export { judgeRun, judgeSuction, RUN_CAUTION, type RunJudged } from './judge.ts';
export { demandOf, feedsCarburettor, FLOODS, wantedBar } from './need.ts';
export { ampsOf, atRatedVolts, flowOf, type PumpRated, type PumpRun } from './run.ts';
