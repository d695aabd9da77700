import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { inCradle, inRoot, root } from './paths.mjs';
import { say, Stop } from './say.mjs';

function* files(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (entry.name !== 'dist' && entry.name !== 'node_modules') yield* files(path);
    } else if (!/\.test\.tsx?$/.test(entry.name)) yield path;
  }
}

/** Builds the web application when its sources, the core's or the lock changed since it was built. */
export function ensureWeb() {
  const hash = createHash('sha256');
  const sources = [inRoot('package-lock.json'), ...files(inRoot('web')), ...files(inRoot('core', 'src'))];
  for (const path of sources)
    hash.update(path.slice(root.length)).update(statSync(path).size < 4e6 ? readFileSync(path) : '');
  const wanted = hash.digest('hex');
  const stamp = inCradle('web-built');
  if (existsSync(inRoot('web', 'dist', 'index.html')) && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted)
    return;
  say('Building the web application…');
  const built = spawnSync('npx', ['vite', 'build', '--config', 'web/vite.config.ts', '--logLevel', 'error'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    // Whoever calls it: what is served is never the build for tests.
    env: { ...process.env, NODE_ENV: 'production' },
  });
  if (built.status !== 0) throw new Stop('The web application could not be built; what the builder said stands above.');
  writeFileSync(stamp, wanted);
}
