import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { inRoot, root } from './paths.mjs';
import { say, Stop } from './say.mjs';

const packagesOf = (path) => JSON.parse(readFileSync(path, 'utf8')).packages;

/** Is everything there that the lock names, in the version it names? What is optional may be for another machine. */
function complete() {
  const installed = inRoot('node_modules', '.package-lock.json');
  if (!existsSync(installed)) return false;
  const there = packagesOf(installed);
  return Object.entries(packagesOf(inRoot('package-lock.json'))).every(
    ([path, wanted]) =>
      !path.includes('node_modules/') || wanted.link || wanted.optional || there[path]?.version === wanted.version,
  );
}

/** `npm ci` when modules are missing or the lock changed since they were installed. */
export function ensureModules() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Iron Cradle needs Node 20.19 or newer; this is ${process.version}.`);
  if (complete()) return;
  say('Installing packages…');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: 'inherit' });
  if (done.status !== 0) throw new Stop('The packages could not be installed. Run “npm ci” and see what it says.');
}
