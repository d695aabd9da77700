// npm start: everything from an empty machine to an address in the browser.
import { spawn } from 'node:child_process';
import { endOn, say } from './lib/say.mjs';
import { inCradle, inRoot, root } from './lib/paths.mjs';

const options = process.argv.slice(2);
const known = new Set(['--empty', '--lan']);
const unknown = options.find((option) => !known.has(option));
if (unknown) {
  say(
    `“${unknown}” is no option of npm start. Known: --empty (without demo data), --lan (phones on the shop’s network). Environment: PORT, HTTPS_PORT, HOST, DATABASE_URL.`,
  );
  process.exit(2);
}

try {
  const { ensureModules } = await import('./lib/modules.mjs');
  ensureModules();
  const { startMariaDb } = await import('./lib/mariadb.mjs');
  // Demo and empty shops do not share a database: trying the demo must never end up in the books.
  const folder = options.includes('--empty') ? 'shop' : 'demo';
  const own = process.env.DATABASE_URL
    ? null
    : await startMariaDb(process.env.CRADLE_DB ?? inCradle('db', folder), { restart: true, history: true });
  const { ensureWeb } = await import('./lib/web.mjs');
  await ensureWeb();
  const { ensureServer, server: main } = await import('./lib/server.mjs');
  await ensureServer();

  let server = null;
  let stopping = false;
  let quick = 0;
  const launch = () => {
    const started = Date.now();
    server = spawn(process.execPath, ['--enable-source-maps', main], {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      env: {
        ...process.env,
        DATABASE_URL: process.env.DATABASE_URL || own.url(),
        WEB_ROOT: inRoot('web', 'dist'),
        ...(options.includes('--lan') ? { CRADLE_LAN: process.env.CRADLE_LAN || inCradle('lan') } : {}),
        KEY_FILE: process.env.KEY_FILE || inCradle('keys', `${folder}.pem`),
        SECURITY_LOG: process.env.SECURITY_LOG || inCradle('security.log'),
        CRADLE_DEMO: options.includes('--empty') ? 'no' : 'yes',
      },
    });
    server.once('exit', (code) => {
      if (stopping) return;
      quick = Date.now() - started < 5000 ? quick + 1 : 0;
      if (code === 2 || quick > 3) return void stop(code ?? 1);
      say('The server ended; starting it again.');
      launch();
    });
  };
  const stop = async (code = 0) => {
    if (stopping) return;
    stopping = true;
    if (server && server.exitCode === null) {
      server.kill('SIGTERM');
      await new Promise((resolve) => (server.once('exit', resolve), setTimeout(resolve, 5000)));
    }
    await own?.stop();
    process.exit(code);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  launch();
} catch (error) {
  endOn(error);
}
