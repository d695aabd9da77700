import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { relative } from 'node:path';
import { inCradle, inRoot, root } from './paths.mjs';

/** Of this machine's last runs, and of the one that was last written into the repository. */
const here = inCradle('times.json');
const there = inRoot('scripts', 'times.json');
const read = (path) => (existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : {});

/** Seconds each test file took when it last ran. */
export const readTimes = () => ({ ...read(there), ...read(here) });

/** Notes what the files of a run took; with `keep` also for who runs them for the first time. */
export function noteTimes(results, { keep = false } = {}) {
  const times = { ...readTimes(), ...Object.fromEntries(timesOf(results)) };
  const known = Object.entries(times)
    .filter(([path]) => existsSync(inRoot(path)))
    .sort(([a], [b]) => (a < b ? -1 : 1));
  const text = `${JSON.stringify(Object.fromEntries(known), null, 2)}\n`;
  writeFileSync(here, text);
  if (keep) writeFileSync(there, text);
}

/** Each test file of a run, from the root, with the whole seconds it took. */
export const timesOf = ({ testResults }) =>
  testResults
    .filter(({ endTime }) => endTime)
    .map(({ name, startTime, endTime }) => [relative(root, name), Math.round((endTime - startTime) / 1000)]);

/** Which part of the tests a file is of. */
export function partOf(path) {
  if (/^(e2e|server)\//.test(path)) return path.split('/')[0];
  return path.endsWith('.tsx') ? 'screens' : path.startsWith('core/') ? 'core' : 'house';
}

/** The ten slowest files and what each part takes in all, in lines for a person. */
export function slowest(results) {
  const times = timesOf(results).sort((a, b) => b[1] - a[1]);
  const parts = {};
  for (const [path, seconds] of times) parts[partOf(path)] = (parts[partOf(path)] ?? 0) + seconds;
  return [
    'The slowest files, s:',
    ...times.slice(0, 10).map(([path, seconds]) => `${String(seconds).padStart(5)}  ${path}`),
    `In all, s of a worker: ${Object.entries(parts)
      .map(([part, seconds]) => `${part} ${seconds}`)
      .join(', ')}`,
  ];
}
