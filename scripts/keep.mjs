// npm run backup [-- folder], npm run restore -- folder ["2026-11-27 17:20"], npm run verify [-- file], npm run lead -- name PIN; --empty: of the shop that npm start -- --empty keeps.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { endOn, say } from './lib/say.mjs';
import { inCradle, root } from './lib/paths.mjs';

const [what, ...rest] = process.argv.slice(2);
const empty = rest.includes('--empty');
const folder = empty ? 'shop' : 'demo';
const words = rest.filter((word) => word !== '--empty');
const [given] = words;
const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
const where = given ?? (what === 'backup' ? inCradle('backups', stamp) : '');

/** What plays the database's own history: its reader lies in a package of clients that is not installed with the server. */
async function historyTools({ historyFolder, socket }) {
  const { ensureUnpacked, find } = await import('./lib/debian.mjs');
  const path = 'usr/bin/mariadb-binlog';
  const reader = join(ensureUnpacked('mariadb-client', path), path);
  return { folder: historyFolder, reader, player: find(['mariadb']), socket: socket() };
}

try {
  if (what === 'restore' && !given) {
    say('Which copy? npm run restore -- folder');
    process.exit(2);
  }
  const { ensureModules } = await import('./lib/modules.mjs');
  ensureModules();
  const { ensureServer, keeper } = await import('./lib/server.mjs');
  await ensureServer();
  const { startMariaDb } = await import('./lib/mariadb.mjs');
  const file = what === 'verify' && given;
  const own =
    file || process.env.DATABASE_URL
      ? null
      : await startMariaDb(process.env.CRADLE_DB ?? inCradle('db', folder), { history: true });
  const found = own?.found ?? false;
  let code = 0;
  if (what === 'restore' && found) {
    say('The shop’s server is running. Stop it first, then put the copy back.');
    code = 2;
  } else {
    const until = what === 'restore' && words.length > 1;
    code =
      spawnSync(process.execPath, [keeper, what, ...(what === 'lead' || until ? words : where ? [where] : [])], {
        cwd: root,
        stdio: 'inherit',
        env: {
          ...process.env,
          DATABASE_URL: process.env.DATABASE_URL || own?.url() || '',
          CRADLE_LAN: process.env.CRADLE_LAN || inCradle('lan'),
          SECURITY_LOG: process.env.SECURITY_LOG || inCradle('security.log'),
          KEY_FILE: process.env.KEY_FILE || inCradle('keys', `${folder}.pem`),
          ...(until && own ? { HISTORY_TOOLS: JSON.stringify(await historyTools(own)) } : {}),
        },
      }).status ?? 1;
  }
  // One that was running is somebody’s; only our own is stopped.
  if (!found) await own?.stop();
  process.exit(code);
} catch (error) {
  endOn(error);
}
