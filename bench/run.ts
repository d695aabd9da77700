/**
 * Speed as ratios, never as assertions: how long the product's own work takes against a plain yardstick on the same data
 * and the same machine, each the median of many runs.
 */
import { archetypes, foldJob, nextStop, planDescent, readQuantity } from '@iron-cradle/core';
import { descend, seeded, truthInside } from '@iron-cradle/core/rehearsal';
import { unit } from 'mathjs';

function median(work: () => void, runs = 60): number {
  for (let i = 0; i < 5; i++) work();
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
}

const rng = seeded(7);
const { state } = descend(archetypes[0]!, truthInside(archetypes[0]!, rng), rng);
const log = state.kept;
const text = JSON.stringify(log);
const start = foldJob(null, log.slice(0, 1))!;

const parse = median(() => void JSON.parse(text));
const fold = median(() => void foldJob(null, log));
const stop = median(() => void nextStop(start));
const plan = median(() => void planDescent(start));
const read = median(() => {
  for (let i = 0; i < 100; i++) readQuantity('7 1/8 in', { dimension: 'length', unit: 'mm' });
});
const reference = median(() => {
  for (let i = 0; i < 100; i++) unit('7.125 inch').toNumber('m');
});

const row = (what: string, ms: number, against: string, base: number) =>
  console.log(`${what.padEnd(44)} ${ms.toFixed(3)} ms   ${(ms / base).toFixed(2)} × ${against}`);
row(`folding a descent of ${log.length} entries`, fold, 'reading it as JSON', parse);
row('next stop, 8 connections', stop, 'reading the log as JSON', parse);
row('whole descent foreseen', plan, 'one next stop', stop);
row('reading a hundred quantities', read, 'the same by a unit library', reference);
