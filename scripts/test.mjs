// npm test: everything from an empty machine to one line of counts. --screens makes the pictures of docs/screenshots instead; --keep-times
// writes what each file took into the repository, for who runs them for the first time.
import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { cpus } from 'node:os';
import { inCradle, inRoot, root } from './lib/paths.mjs';
import { endOn, say } from './lib/say.mjs';
import { noteTimes, slowest } from './lib/times.mjs';
import { checks } from './lib/checks.mjs';

const screens = process.argv.includes('--screens');

const ran = (command, args, { env = process.env, shown = false } = {}) =>
  new Promise((resolve) => {
    const begun = Date.now();
    const child = spawn(command, args, {
      cwd: root,
      env,
      stdio: ['ignore', ...(shown ? ['inherit', 'inherit'] : ['pipe', 'pipe'])],
    });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => (said += chunk));
    child.on('close', (code) => resolve({ code, said, seconds: Math.round((Date.now() - begun) / 1000) }));
  });

try {
  const begun = Date.now();
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
  const ready = Math.round((Date.now() - begun) / 1000);

  let passed = 0;
  let failed = 0;
  /** One after the other, beside the tests. */
  const checked = async () => {
    for (const [name, command, ...args] of screens ? [] : checks) {
      const { code, said, seconds } = await ran(command, args);
      if (said.trim()) say(said.trimEnd());
      say(`${code === 0 ? 'ok  ' : 'FAIL'} ${name} (${seconds} s)`);
      if (code === 0) passed += 1;
      else failed += 1;
    }
  };
  /** All tests out of one pool: what drives servers and browsers waits half of its time, and what computes fills that. */
  const tested = async () => {
    const out = inCradle('jest.json');
    rmSync(out, { force: true });
    const which = screens ? ['--selectProjects', 'e2e', '-t', 'picture'] : [`--maxWorkers=${cpus().length + 1}`];
    await ran(process.execPath, ['scripts/jest.mjs', '--json', `--outputFile=${out}`, ...which], {
      env: { ...process.env, CERTUTIL: certutil, ...(screens ? { SCREENS: inRoot('docs', 'screenshots') } : {}) },
      shown: true,
    });
    const result = JSON.parse(readFileSync(out, 'utf8'));
    passed += result.numPassedTests;
    failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
    return result;
  };
  const [result] = await Promise.all([tested(), checked()]);
  if (!screens) {
    noteTimes(result, { keep: process.argv.includes('--keep-times') });
    slowest(result).forEach(say);
    const whole = Math.round((Date.now() - begun) / 1000);
    say(`${Math.floor(whole / 60)} min ${whole % 60} s, of which ${ready} s to have everything there and built`);
  }
  say(`${passed} passed, ${failed} failed`);
  process.exit(failed === 0 ? 0 : 1);
} catch (error) {
  endOn(error);
}
