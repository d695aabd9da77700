/**
 * Speed as ratios, never as assertions: how long the product's own work takes against a plain yardstick on the same data
 * and the same machine, each the median of many runs.
 */
import { archetypes, foldJob, nextStop, readQuantity } from '@iron-cradle/core';
import { ahead } from '@iron-cradle/core/foresight';
import { descend, seeded, truthInside } from '@iron-cradle/core/rehearsal';
import { unit } from 'mathjs';
import { median, row } from './lib.ts';
import { benchAppend } from './append.ts';
import { benchDrag } from './drag.ts';
import { benchDurable } from './durable.ts';
import { benchLog } from './log.ts';
import { benchOpen } from './open.ts';
import { benchReplan } from './replan.ts';
import { benchRoute } from './route.ts';
import { benchShop } from './shop.ts';
import { benchTank } from './tank.ts';

const rng = seeded(7);
const { log } = descend(archetypes[0]!, { truth: truthInside(archetypes[0]!, rng), rng });
const text = JSON.stringify(log);
const start = foldJob(null, log.slice(0, 1))!;

const parse = median(() => void JSON.parse(text));
const fold = median(() => void foldJob(null, log));
const stop = median(() => void nextStop(start));
const plan = median(() => void ahead({ ...start }));
const read = median(() => {
  for (let i = 0; i < 100; i++) readQuantity('7 1/8 in', { dimension: 'length', unit: 'mm' });
});
const reference = median(() => {
  for (let i = 0; i < 100; i++) unit('7.125 inch').toNumber('m');
});

row(`folding a descent of ${log.length} entries`, fold, 'reading it as JSON', parse);
row('next stop, 8 connections', stop, 'reading the log as JSON', parse);
row('whole descent foreseen', plan, 'one next stop', stop);
row('reading a hundred quantities', read, 'the same by a unit library', reference);
benchLog();
await benchAppend().catch((error: Error) => console.log(`appending: not measured, ${error.message}`));
await benchDurable().catch((error: Error) => console.log(`durable entries: not measured, ${error.message}`));
await benchShop().catch((error: Error) => console.log(`a shop of years: not measured, ${error.message}`));
await benchRoute();
await benchTank();
await benchReplan().catch((error: Error) => console.log(`replanning: not measured, ${error.message}`));
// A browser has to be there and the web built; without them the other rows stand all the same.
await benchDrag().catch((error: Error) => console.log(`dragging the level: not measured, ${error.message}`));
await benchOpen().catch((error: Error) => console.log(`opening a job: not measured, ${error.message}`));
process.exit(0);
