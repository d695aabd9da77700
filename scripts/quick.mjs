// npm run quick [-- folder …]: what somebody runs while working. Types, lint and format of what changed since the last commit, or of the folders
// named; then the tests of the core, the house and the screens that stand there.
import { spawn, spawnSync } from 'node:child_process';
import { dirname } from 'node:path';
import { inCradle, root } from './lib/paths.mjs';
import { say } from './lib/say.mjs';

const git = (...args) => spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
const named = process.argv.slice(2);
const changed =
  named.length > 0
    ? git('ls-files', '--cached', '--others', '--exclude-standard', ...named)
    : [...git('diff', '--name-only', '--diff-filter=d', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
const code = changed.filter((path) => /\.(tsx?|mjs|js)$/.test(path));
if (changed.length === 0) {
  say('Nothing changed since the last commit. Name a folder: npm run quick -- core/src/stops');
  process.exit(0);
}
/** Folders whose tests are run: those of what changed; browsers and servers are left to npm test. */
const folders = [...new Set(code.filter((path) => /^(core|web|scripts)\//.test(path)).map(dirname))];

const ran = (name, command, ...args) =>
  new Promise((resolve) => {
    const begun = Date.now();
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      if (status !== 0) say(said.trimEnd());
      say(`${status === 0 ? 'ok  ' : 'FAIL'} ${name} (${Math.round((Date.now() - begun) / 1000)} s)`);
      resolve(status === 0);
    });
  });

/** A project remembers what it found in files that have not changed since. */
const tsc = (project) => [
  'tsc',
  '-p',
  project,
  '--incremental',
  '--tsBuildInfoFile',
  inCradle(`${project.replaceAll('/', '-')}.tsbuildinfo`),
];
const projects = [
  ...(code.some((path) => !path.startsWith('web/')) ? ['tsconfig.json'] : []),
  ...(code.some((path) => /^(web|core)\//.test(path)) ? ['web/tsconfig.test.json'] : []),
];
const eslint = ['eslint', '--cache', '--cache-location', inCradle('eslint')];
const prettier = ['prettier', '--check', '--ignore-unknown', '--log-level', 'warn'];
const jest = [
  'scripts/jest.mjs',
  '--selectProjects',
  'core',
  'house',
  'screens',
  '--passWithNoTests',
  '--testPathPatterns',
];
const all = await Promise.all([
  (async () => {
    const each = [];
    for (const project of projects) each.push(await ran(`types of ${project}`, 'npx', ...tsc(project)));
    return each;
  })(),
  (async () => [
    await ran('format', 'npx', ...prettier, ...changed),
    code.length === 0 || (await ran('lint', 'npx', ...eslint, ...code)),
    folders.length === 0 ||
      (await ran(`tests of ${folders.join(', ')}`, process.execPath, ...jest, ...folders.map((f) => `${f}/[^/]*$`))),
  ])(),
]);
process.exit(all.flat().every(Boolean) ? 0 : 1);
