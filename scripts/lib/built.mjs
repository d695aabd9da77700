import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { inCradle, inRoot, root } from './paths.mjs';

/** Files of a folder that go into what is built from it. */
function* files(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (entry.name !== 'dist' && entry.name !== 'node_modules') yield* files(path);
    } else if (!/\.test\.tsx?$/.test(entry.name)) yield path;
  }
}

/** Builds something when its sources or the lock changed since it was built. */
export async function ensureBuilt({ stamp: name, folders, there, build }) {
  const hash = createHash('sha256');
  for (const path of [inRoot('package-lock.json'), ...folders.flatMap((folder) => [...files(inRoot(...folder))])])
    hash.update(path.slice(root.length)).update(statSync(path).size < 4e6 ? readFileSync(path) : '');
  const wanted = hash.digest('hex');
  const stamp = inCradle(name);
  if (existsSync(there) && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  await build();
  writeFileSync(stamp, wanted);
}
