import { spawnSync } from 'node:child_process';
import { ensureBuilt } from './built.mjs';
import { inRoot, root } from './paths.mjs';
import { say, Stop } from './say.mjs';

/** Builds the web application when its sources, the core's or the lock changed since it was built. */
export const ensureWeb = () =>
  ensureBuilt({
    stamp: 'web-built',
    folders: [['web'], ['core', 'src']],
    there: inRoot('web', 'dist', 'index.html'),
    build: () => {
      say('Building the web application…');
      const built = spawnSync('npx', ['vite', 'build', '--config', 'web/vite.config.ts', '--logLevel', 'error'], {
        cwd: root,
        stdio: ['ignore', 'inherit', 'inherit'],
        // Whoever calls it: what is served is never the build for tests.
        env: { ...process.env, NODE_ENV: 'production' },
      });
      if (built.status !== 0)
        throw new Stop('The web application could not be built; what the builder said stands above.');
    },
  });
