import { rmSync } from 'node:fs';
import { ensureBuilt } from './built.mjs';
import { inRoot } from './paths.mjs';

/** The server and the keeper of copies as they are run: without a compiler at their start, so that a server that was killed is back at once. */
export const server = inRoot('server', 'dist', 'main.mjs');
export const keeper = inRoot('server', 'dist', 'keeping', 'main.mjs');

/** Builds them when their sources, the core's or the lock changed; packages stay where they are. */
export async function ensureServer() {
  const { buildSync } = await import('esbuild');
  ensureBuilt({
    stamp: 'server-built',
    folders: [
      ['server', 'src'],
      ['core', 'src'],
    ],
    there: server,
    build: () => {
      // Parts of an older one are of no use to it.
      rmSync(inRoot('server', 'dist'), { recursive: true, force: true });
      buildSync({
        entryPoints: [inRoot('server', 'src', 'main.ts'), inRoot('server', 'src', 'keeping', 'main.ts')],
        outdir: inRoot('server', 'dist'),
        outbase: inRoot('server', 'src'),
        outExtension: { '.js': '.mjs' },
        bundle: true,
        splitting: true,
        format: 'esm',
        platform: 'node',
        target: 'node20',
        sourcemap: 'linked',
        tsconfig: inRoot('tsconfig.json'),
        // Ours goes in; what comes from elsewhere is found where it was installed.
        packages: 'external',
        alias: { '@iron-cradle/core': inRoot('core', 'src', 'index.ts') },
        logLevel: 'error',
      });
    },
  });
}
