import { rmSync } from 'node:fs';
import { ensureBuilt } from './built.mjs';
import { inRoot } from './paths.mjs';

/** The server and the keeper of copies as they are run: without a compiler at their start, so that a server that was killed is back at once. */
export const server = inRoot('server', 'dist', 'main.mjs');
export const keeper = inRoot('server', 'dist', 'keeping', 'main.mjs');

/** Stays where it is installed: machine code, what reads files beside itself, what only other databases need. */
const OUTSIDE = [
  '@node-rs/argon2',
  '@fontsource/*',
  'pdfmake',
  'tinypool',
  'pdfjs-dist',
  'class-transformer/storage',
  ...['pg', 'pg-hstore', 'pg-native', 'mysql2', 'tedious', 'sqlite3', 'ibm_db', 'snowflake-sdk', 'oracledb'],
];
/** Packages of the older kind ask for others by it. */
const REQUIRE = "import { createRequire as requireBy } from 'node:module'; const require = requireBy(import.meta.url);";

/** Builds them when their sources, the core's or the lock changed. */
export async function ensureServer() {
  await ensureBuilt({
    stamp: 'server-built',
    folders: [
      ['server', 'src'],
      ['core', 'src'],
      // How it is built, too.
      ['scripts', 'lib'],
    ],
    there: server,
    build: async () => {
      // Only where it is needed: a start that finds everything built does not wait for the builder.
      const { buildSync } = await import('esbuild');
      // Parts of an older one are of no use to it.
      rmSync(inRoot('server', 'dist'), { recursive: true, force: true });
      buildSync({
        entryPoints: ['main', 'keeping/main', 'jobs/incoming/worker'].map((name) =>
          inRoot('server', 'src', `${name}.ts`),
        ),
        outdir: inRoot('server', 'dist'),
        outbase: inRoot('server', 'src'),
        outExtension: { '.js': '.mjs' },
        bundle: true,
        splitting: true,
        format: 'esm',
        platform: 'node',
        target: 'node20',
        sourcemap: 'linked',
        // Read at every start: places only, not the sources once more.
        sourcesContent: false,
        minifyWhitespace: true,
        minifySyntax: true,
        // An error that ends it shows the line it is in: one a person can read.
        lineLimit: 160,
        tsconfig: inRoot('tsconfig.json'),
        // One file is there at once where a thousand small ones take a second or two to be found.
        external: OUTSIDE,
        banner: { js: REQUIRE },
        alias: { '@iron-cradle/core': inRoot('core', 'src', 'index.ts') },
        logLevel: 'error',
      });
    },
  });
}
