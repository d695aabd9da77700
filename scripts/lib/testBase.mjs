// What the tests of one run share: one MariaDB on loopback, and in it the demo shop as it is just after its first start.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createConnection } from 'mariadb';
import { envFor, find } from './debian.mjs';
import { startMariaDb } from './mariadb.mjs';
import { cradle, inRoot, root } from './paths.mjs';

const PREFIX = 'tests-';
const TEMPLATE = 'cradle_template';
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const runs = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

/** What a run that was killed left running and lying about. */
function sweep() {
  for (const name of readdirSync(cradle)) {
    const owner = new RegExp(`^${PREFIX}(\\d+)-`).exec(name)?.[1];
    if (!owner || runs(Number(owner))) continue;
    const pidFile = join(cradle, name, 'mariadb.pid');
    const pid = existsSync(pidFile) ? Number(readFileSync(pidFile, 'utf8')) : 0;
    // A number that was given to another program since is not ours to end.
    const ours =
      pid && existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(name);
    if (ours) process.kill(pid, 'SIGKILL');
    rmSync(join(cradle, name), { recursive: true, force: true });
  }
}

/**
 * Starts the database and, beside everything else, lets a server fill the demo shop once. Workers read where it is from the environment.
 *
 * @returns ends it
 */
export async function startTestBase() {
  sweep();
  const folder = mkdtempSync(join(cradle, `${PREFIX}${process.pid}-`));
  // What only tests hold need not survive a power cut.
  const db = await startMariaDb(folder, { lasting: false });
  const template = join(folder, 'template');
  mkdirSync(template);
  process.env.TEST_BASE = JSON.stringify({ folder, url: db.url(''), template });
  const filling = fill(db, template).catch((error) => writeFileSync(join(template, 'failed'), String(error.stack)));
  return async () => {
    await filling;
    await db.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}

/** Fills a database with the demo by the server itself, and writes it down as statements. */
async function fill(db, template) {
  const keys = join(template, 'keys');
  await statements(db.url(''), `CREATE DATABASE ${TEMPLATE} CHARACTER SET utf8mb4`);
  const server = spawn(process.execPath, [inRoot('server', 'dist', 'main.mjs')], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      LOG_LEVEL: 'silent',
      DATABASE_URL: db.url(TEMPLATE),
      HOST: '127.0.0.1',
      PORT: '0',
      KEY_FILE: join(keys, 'shop.pem'),
      CRADLE_DEMO: 'yes',
    },
  });
  const ended = new Promise((resolve) => server.once('exit', resolve));
  const ready = new Promise((resolve) => server.once('message', () => resolve('ready')));
  if ((await Promise.race([ready, ended])) !== 'ready') throw new Error('The demo shop could not be filled.');
  server.kill('SIGTERM');
  await ended;
  writeFileSync(join(template, 'copy.sql'), await copying(db.url(TEMPLATE)));
  writeFileSync(join(template, 'ready'), '');
}

/** The statements that make another database like this one, read in that other one. */
async function copying(url) {
  const { hostname, port, username, password, pathname } = new URL(url);
  const from = pathname.slice(1);
  const there = await createConnection({
    host: hostname,
    port: Number(port),
    user: username,
    password,
    database: from,
  });
  const tables = (await there.query('SHOW TABLES')).map((row) => Object.values(row)[0]);
  const made = [];
  for (const table of tables) {
    const [row] = await there.query(`SHOW CREATE TABLE \`${table}\``);
    made.push(row['Create Table'], `INSERT INTO \`${table}\` SELECT * FROM \`${from}\`.\`${table}\``);
  }
  await there.end();
  // A table may name one that comes after it.
  return ['SET foreign_key_checks = 0', ...made, ''].join(';\n');
}

/** Lets MariaDB’s own client do some statements. */
function statements(url, sql) {
  const { hostname, port, username, password } = new URL(url);
  const program = find(['mariadb']);
  const args = ['--no-defaults', '--host', hostname, '--port', port, '--user', username];
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      env: { ...envFor(program), MYSQL_PWD: password },
      stdio: ['pipe', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (text) => (said += text));
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(said || `ended with ${code}`))));
    child.stdin.end(sql);
  });
}

/**
 * A database of its own in the server all tests share.
 *
 * @param demo with the demo shop in it, and the key that shop seals with beside it
 * @returns its address, a folder for what belongs to it, and how it ends
 */
export async function sharedDatabase({ demo = false } = {}) {
  const base = JSON.parse(process.env.TEST_BASE ?? 'null');
  if (!base) throw new Error('These tests share a database: run them by npm test or npm run jest.');
  const name = `cradle_${randomBytes(6).toString('hex')}`;
  const folder = join(base.folder, name);
  mkdirSync(folder);
  const url = (of) => Object.assign(new URL(base.url), { pathname: `/${of}` }).href;
  let filled = '';
  if (demo) {
    while (!existsSync(join(base.template, 'ready'))) {
      if (existsSync(join(base.template, 'failed')))
        throw new Error(readFileSync(join(base.template, 'failed'), 'utf8'));
      await wait(50);
    }
    cpSync(join(base.template, 'keys'), join(folder, 'keys'), { recursive: true });
    filled = readFileSync(join(base.template, 'copy.sql'), 'utf8');
  }
  await statements(url(''), `CREATE DATABASE ${name} CHARACTER SET utf8mb4; USE ${name}; ${filled}`);
  return {
    folder,
    url: () => url(name),
    stop: async () => {
      await statements(url(''), `DROP DATABASE ${name}`);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
