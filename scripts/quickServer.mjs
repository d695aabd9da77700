// Loaded before a server of the tests whose time runs quicker: --import scripts/quickServer.mjs, CLOCK=rate, CLOCK_BEGUN=ms.
import { createRequire, syncBuiltinESMExports } from 'node:module';
import { quicken } from './lib/quicken.mjs';

const rate = Number(process.env.CLOCK);
quicken(rate, Number(process.env.CLOCK_BEGUN));
const timers = createRequire(import.meta.url)('node:timers/promises');
const later = timers.setTimeout;
timers.setTimeout = (ms, ...more) => later((ms ?? 0) / rate, ...more);
syncBuiltinESMExports();
