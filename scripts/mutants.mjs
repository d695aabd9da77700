// npm run mutants [-- folder …]: wrong signs, turned comparisons, conditions left out are put into the reckoning one at a
// time; a test of the same folder has to find each. It takes its time and is no part of the tests. EVERY=12 takes a sample, what begins and
// ends on every twelfth line; CHANCE=25 tries chance a twenty-fifth as often.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { inCradle, root } from './lib/paths.mjs';
import { say } from './lib/say.mjs';

const folders =
  process.argv.length > 2 ? process.argv.slice(2) : ['tank', 'drain', 'handling', 'gates', 'stops', 'route'];
/** Least share that has to be found, %. */
const LEAST = 80;

let low = 0;
for (const folder of folders) {
  const env = { ...process.env, MUTANTS: folder };
  const told = inCradle(`mutants-${folder}.json`);
  // What a run before told is not this run's.
  rmSync(told, { force: true });
  const run = spawnSync('npx', ['stryker', 'run'], { cwd: root, stdio: 'inherit', env });
  if (run.status !== 0) {
    say(`${folder}: it broke off; what it said stands above`);
    process.exit(1);
  }
  const { files } = JSON.parse(readFileSync(told, 'utf8'));
  const all = Object.values(files).flatMap((file) => file.mutants.map((m) => m.status));
  const count = (...statuses) => all.filter((status) => statuses.includes(status)).length;
  const found = count('Killed', 'Timeout');
  const share = (100 * found) / (found + count('Survived', 'NoCoverage'));
  if (share < LEAST) low += 1;
  say(`${folder}: ${found} found, ${count('Survived', 'NoCoverage')} not; ${share.toFixed(1)} %`);
}
process.exit(low === 0 ? 0 : 1);
