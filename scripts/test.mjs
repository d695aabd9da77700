// npm test: everything from an empty machine to one line of counts. --screens also makes the pictures of docs/screenshots.
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { cpus } from 'node:os';
import { inCradle, inRoot, root } from './lib/paths.mjs';
import { endOn, say } from './lib/say.mjs';

const screens = process.argv.includes('--screens');

/** What is checked before anything runs; the long ones first. */
const checks = [
  ['lint', 'npx', 'eslint', '--cache', '--cache-location', inCradle('eslint'), '.'],
  ['format', 'npx', 'prettier', '--check', '--log-level', 'warn', '.'],
  ['types', 'npx', 'tsc', '-p', 'tsconfig.json'],
  ['types of the web and its tests', 'npx', 'tsc', '-p', 'web/tsconfig.test.json'],
  ['types of the web', 'npx', 'tsc', '-p', 'web/tsconfig.json'],
  ['types of the core alone', 'npx', 'tsc', '-p', 'core/tsconfig.json'],
  [
    'borders',
    'npx',
    'depcruise',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
    'core/src',
    'server/src',
    'web/src',
  ],
  [
    'borders between folders',
    'npx',
    'depcruise',
    '--config',
    '.dependency-cruiser.folders.cjs',
    '--output-type',
    'err',
    'core/src',
  ],
];

/** What only computes uses every core; what drives servers and a browser goes two files at a time: each of them is several programs. */
const runs = [
  ['--selectProjects', 'core', 'house', 'screens', `--maxWorkers=${cpus().length}`],
  ['--selectProjects', 'server', 'e2e', `--maxWorkers=${Math.min(2, cpus().length)}`],
];

const ran = (command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('close', (code) => resolve({ code, said }));
  });

/** Works a list with so many at a time. */
async function atOnce(width, list, work) {
  const left = [...list];
  const one = async () => {
    for (let next = left.shift(); next; next = left.shift()) await work(next);
  };
  await Promise.all(Array.from({ length: width }, one));
}

try {
  const { ensureModules } = await import('./lib/modules.mjs');
  ensureModules();
  const { ensureProgram } = await import('./lib/debian.mjs');
  ensureProgram('MariaDB', ['mariadbd'], ['mariadb-server-core', 'mariadb-client-core']);
  const { ensureChromium } = await import('./lib/chromium.mjs');
  ensureChromium();
  // Puts a certificate among those a browser trusts, for the test of a paired phone.
  const certutil = ensureProgram('certutil', ['certutil'], ['libnss3-tools']);
  const { ensureWeb } = await import('./lib/web.mjs');
  await ensureWeb();
  const { ensureServer } = await import('./lib/server.mjs');
  await ensureServer();

  let passed = 0;
  let failed = 0;
  const check = async ([name, command, ...args]) => {
    const { code, said } = await ran(command, args);
    if (said.trim()) say(said.trimEnd());
    say(`${code === 0 ? 'ok  ' : 'FAIL'} ${name}`);
    if (code === 0) passed += 1;
    else failed += 1;
  };
  if (!screens) await atOnce(cpus().length, checks, check);
  const env = {
    ...process.env,
    CERTUTIL: certutil,
    ...(screens ? { SCREENS: inRoot('docs', 'screenshots') } : {}),
  };
  for (const more of screens ? [['--selectProjects', 'e2e', '-t', 'picture']] : runs) {
    const out = inCradle('jest.json');
    rmSync(out, { force: true });
    const args = ['scripts/jest.mjs', '--json', `--outputFile=${out}`, ...more];
    spawnSync(process.execPath, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env });
    const result = JSON.parse(readFileSync(out, 'utf8'));
    passed += result.numPassedTests;
    failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  }
  say(`${passed} passed, ${failed} failed`);
  process.exit(failed === 0 ? 0 : 1);
} catch (error) {
  endOn(error);
}
