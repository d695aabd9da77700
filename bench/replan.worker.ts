import { archetypes, foldJob, logWriter, nextStop, type Entry } from '@iron-cradle/core';
import { descend, randomVehicle, seeded, truthInside } from '@iron-cradle/core/rehearsal';

/** In the browser: how long the next stop takes after a surprise on the way down, ms, for 200 random vehicles. */
const times: number[] = [];
for (let i = 0; i < 220; i++) {
  const rng = seeded(300 + i);
  const vehicle = randomVehicle(archetypes[i % archetypes.length]!, rng);
  const { log } = descend(vehicle, { truth: truthInside(vehicle, rng), rng });
  // Back to some stop on the way, and something holds there that nobody expected.
  const cut = 1 + Math.floor(rng() * Math.max(1, log.length - 1));
  const write = logWriter('surprise');
  const line = vehicle.connections[i % vehicle.connections.length]!;
  const half = foldJob(null, log.slice(0, cut))!;
  const entry = write('surprise', { what: 'holds', key: `line:${line.id}`, lets: Math.max(half.pose.f, 20) }) as Entry;
  const surprised = foldJob(half, [{ ...entry, jobId: half.jobId }])!;
  if (surprised.out) continue;
  const from = performance.now();
  nextStop(surprised);
  if (i >= 20) times.push(performance.now() - from);
}
times.sort((a, b) => a - b);
self.postMessage(times);
