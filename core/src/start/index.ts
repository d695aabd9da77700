export { STARTS } from './bodies.ts';
export { judgeCodes, judgeStart } from './judge.ts';
export { codesOf, codesRead, engineStarted, startSlice, type StartSlice } from './kinds.ts';
