// npm test: everything from an empty machine to one line of counts. --screens also makes the pictures of docs/screenshots.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { inCradle, inRoot, root } from './lib/paths.mjs';
import { endOn, say } from './lib/say.mjs';

const screens = process.argv.includes('--screens');

try {
  const { ensureModules } = await import('./lib/modules.mjs');
  ensureModules();
  const { ensureProgram } = await import('./lib/debian.mjs');
  ensureProgram('MariaDB', ['mariadbd'], ['mariadb-server-core', 'mariadb-client-core']);
  const chromium = ensureProgram('Chromium', ['chromium', 'chromium-browser'], ['chromium']);
  // Puts a certificate among those a browser trusts, for the test of a paired phone.
  const certutil = ensureProgram('certutil', ['certutil'], ['libnss3-tools']);
  const { ensureWeb } = await import('./lib/web.mjs');
  ensureWeb();

  let passed = 0;
  let failed = 0;
  const check = (name, command, args) => {
    const done = spawnSync(command, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] });
    say(`${done.status === 0 ? 'ok  ' : 'FAIL'} ${name}`);
    if (done.status === 0) passed += 1;
    else failed += 1;
  };
  if (!screens) {
    check('types', 'npx', ['tsc', '-p', 'tsconfig.json']);
    check('types of the core alone', 'npx', ['tsc', '-p', 'core/tsconfig.json']);
    check('types of the web', 'npx', ['tsc', '-p', 'web/tsconfig.json']);
    check('types of its tests', 'npx', ['tsc', '-p', 'web/tsconfig.test.json']);
    check('lint', 'npx', ['eslint', '--cache', '--cache-location', inCradle('eslint'), '.']);
    check('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
    check('borders', 'npx', [
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'core/src',
      'server/src',
      'web/src',
    ]);
  }
  const out = inCradle('jest.json');
  const args = [
    'scripts/jest.mjs',
    '--forceExit',
    '--json',
    `--outputFile=${out}`,
    ...(screens ? ['--selectProjects', 'e2e', '-t', 'picture'] : []),
  ];
  spawnSync(process.execPath, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      CHROMIUM: chromium,
      CERTUTIL: certutil,
      ...(screens ? { SCREENS: inRoot('docs', 'screenshots') } : {}),
    },
  });
  const result = JSON.parse(readFileSync(out, 'utf8'));
  passed += result.numPassedTests;
  failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  say(`${passed} passed, ${failed} failed`);
  process.exit(failed === 0 ? 0 : 1);
} catch (error) {
  endOn(error);
}
