export { behindIt, behinds } from './behind.ts';
export { judgeRun, RUN_CAUTION, type RunJudged } from './judge.ts';
export { judgeSuction } from './suction.ts';
export { demandOf, feedsCarburettor, FLOODS, wantedBar } from './need.ts';
export { ampsOf, atRatedVolts, flowOf, leastVolts, startsAt, type PumpRated, type PumpRun } from './run.ts';
export { readRun, runFrom, writeRun, type RunReading } from './series.ts';
