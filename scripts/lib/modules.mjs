import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { inCradle, inRoot, root } from './paths.mjs';
import { say, Stop } from './say.mjs';

/** `npm ci` when modules are missing or the lock changed since they were installed. */
export function ensureModules() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Iron Cradle needs Node 20.19 or newer; this is ${process.version}.`);
  const lock = createHash('sha256')
    .update(readFileSync(inRoot('package-lock.json')))
    .digest('hex');
  const stamp = inCradle('modules');
  const known = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if (known === lock && existsSync(inRoot('node_modules', '.package-lock.json'))) return;
  say('Installing packages…');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: 'inherit' });
  if (done.status !== 0) throw new Stop('The packages could not be installed. Run “npm ci” and see what it says.');
  writeFileSync(stamp, lock);
}
