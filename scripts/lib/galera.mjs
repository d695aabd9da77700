import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chownSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import mariadb from 'mariadb';
import { ensureProgram, ensureUnpacked, envFor, find } from './debian.mjs';
import { freePort } from './ports.mjs';
import { say, Stop } from './say.mjs';

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
/** A daemon of root's gives its rights away and then can't write: as root the nodes run as nobody. */
const NOBODY = 65534;
const runsAs = process.getuid?.() === 0 ? { uid: NOBODY, gid: NOBODY } : {};
/** How soon a node that keeps silent is left out, and one that went for a moment is known again. */
const EVICTION =
  'evs.keepalive_period=PT0.5S;evs.inactive_check_period=PT0.5S;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT4S';

/** What a cluster needs of Debian’s packages, put where its nodes may read it. Of the full server only two scripts: installed it would start a service. */
function ensureGalera(folder) {
  const mariadbd = ensureProgram('MariaDB', ['mariadbd'], ['mariadb-server-core', 'mariadb-client-core']);
  ensureProgram('rsync', ['rsync'], ['rsync']);
  // By which a node sees whether the other end listens.
  ensureProgram('lsof', ['ss', 'lsof'], ['lsof']);
  mkdirSync(folder);
  for (const [name, path] of [
    ['galera-4', 'usr/lib/libgalera_smm.so'],
    ['mariadb-server', 'usr/bin/wsrep_sst_rsync'],
    ['mariadb-server', 'usr/bin/wsrep_sst_common'],
  ])
    copyFileSync(join(ensureUnpacked(name, path), path), join(folder, basename(path)));
  return { mariadbd, install: find(['mariadb-install-db']), provider: join(folder, 'libgalera_smm.so') };
}

/** Is a node in, and up to date? Asked of the node itself. */
async function isSynced({ port, password }) {
  let connection;
  try {
    connection = await mariadb.createConnection({
      host: '127.0.0.1',
      port,
      user: 'cradle',
      password,
      connectTimeout: 2_000,
    });
    const [state] = await connection.query("SHOW GLOBAL STATUS LIKE 'wsrep_local_state'");
    return state.Value === '4';
  } catch {
    return false;
  } finally {
    connection?.destroy();
  }
}

/**
 * A Galera cluster of MariaDB on loopback, to try what several machines would do. It lives in a folder of its own under the system's temporary
 * files and goes with it.
 *
 * @returns `url(i)`: the database as a server calls it that prefers node i; `kill(i)`, `freeze(i)`, `thaw(i)`, `launch(i)`, `stop()`
 */
export async function startCluster({ nodes = 3 } = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'cradle-cluster-'));
  if (runsAs.uid) chownSync(folder, NOBODY, NOBODY);
  const tools = join(folder, 'tools');
  const { mariadbd, install, provider } = ensureGalera(tools);
  const password = randomBytes(18).toString('hex');
  const each = [];
  for (let i = 0; i < nodes; i++) {
    const [port, group, changes, copies] = [await freePort(), await freePort(), await freePort(), await freePort()];
    each.push({
      i,
      password,
      port,
      group,
      changes,
      copies,
      data: join(folder, `node-${i}`),
      passing: join(folder, `passing-${i}`),
      socket: join(folder, `${i}.sock`),
      child: null,
    });
  }
  const init = join(folder, 'init.sql');
  writeFileSync(
    init,
    [
      'CREATE DATABASE cradle CHARACTER SET utf8mb4;',
      `CREATE USER 'cradle'@'127.0.0.1' IDENTIFIED BY '${password}';`,
      "GRANT ALL ON \`cradle%\`.* TO 'cradle'@'127.0.0.1';",
      '',
    ].join('\n'),
  );
  /** A server that starts deletes the passing tables it finds where it keeps its own: each node has a place to itself. */
  const env = ({ passing }) => ({
    ...envFor(mariadbd),
    PATH: `${tools}:${process.env.PATH}`,
    TMPDIR: passing,
  });

  const options = (node) => [
    '--no-defaults',
    `--datadir=${node.data}`,
    `--socket=${node.socket}`,
    `--port=${node.port}`,
    `--log-error=${node.data}.log`,
    '--bind-address=127.0.0.1',
    '--character-set-server=utf8mb4',
    '--skip-name-resolve',
    '--innodb-buffer-pool-size=64M',
    // What a node that was away for long takes over whole stays small.
    '--innodb-log-file-size=16M',
    '--binlog-format=ROW',
    '--innodb-autoinc-lock-mode=2',
    '--wsrep-on=ON',
    `--wsrep-provider=${provider}`,
    '--wsrep-cluster-name=cradle',
    `--wsrep-cluster-address=gcomm://${each.map(({ group }) => `127.0.0.1:${group}`).join(',')}`,
    `--wsrep-node-name=node-${node.i}`,
    `--wsrep-node-address=127.0.0.1:${node.group}`,
    '--wsrep-sst-method=rsync',
    `--wsrep-sst-receive-address=127.0.0.1:${node.copies}`,
    `--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${node.group};ist.recv_addr=127.0.0.1:${node.changes};gcache.size=32M;${EVICTION}`,
  ];

  /** Where a node stood when it was killed: it asks for what it missed, not for everything. */
  function position(node) {
    const log = `${node.data}.recovery`;
    rmSync(log, { force: true });
    spawnSync(mariadbd, [...options(node), '--wsrep-recover', `--log-error=${log}`], { env: env(node), ...runsAs });
    return /Recovered position:\s*(\S+)/.exec(existsSync(log) ? readFileSync(log, 'utf8') : '')?.[1] ?? null;
  }

  async function launch(i, { first = false } = {}) {
    const node = each[i];
    const at = first ? null : position(node);
    node.child = spawn(
      mariadbd,
      [
        ...options(node),
        ...(first ? ['--wsrep-new-cluster', `--init-file=${init}`] : []),
        ...(at && !at.startsWith('00000000') ? [`--wsrep-start-position=${at}`] : []),
      ],
      { stdio: 'ignore', env: env(node), ...runsAs },
    );
    const { child } = node;
    child.once('exit', () => (node.child = node.child === child ? null : node.child));
    for (let tries = 0; tries < 300; tries++) {
      if (await isSynced(node)) return;
      if (node.child === null) break;
      await wait(200);
    }
    throw new Stop(`Node ${i} did not come in:\n${readFileSync(`${node.data}.log`, 'utf8').slice(-2000)}`);
  }

  const gone = (node) => (node.child ? new Promise((resolve) => node.child.once('exit', resolve)) : Promise.resolve());
  const signal = (node, name) => node.child?.kill(name);

  for (const node of each) {
    for (const place of [node.data, node.passing]) {
      mkdirSync(place);
      if (runsAs.uid) chownSync(place, NOBODY, NOBODY);
    }
    const args = [
      '--no-defaults',
      `--datadir=${node.data}`,
      '--auth-root-authentication-method=socket',
      '--skip-test-db',
    ];
    const made = spawnSync(install, args, { encoding: 'utf8', env: env(node), ...runsAs });
    if (made.status !== 0) throw new Stop(`A node could not be set up:\n${made.stderr || made.stdout}`);
    await launch(node.i, { first: node.i === 0 });
    say(`node ${node.i} is in: 127.0.0.1:${node.port}`);
  }
  return {
    folder,
    nodes,
    url: (from = 0, database = 'cradle') => {
      const [own, ...rest] = each.map((_, k) => `127.0.0.1:${each[(from + k) % nodes].port}`);
      return `mariadb://cradle:${password}@${own}/${database}?also=${rest.join(',')}`;
    },
    pid: (i) => each[i].child?.pid ?? 0,
    launch,
    async kill(i) {
      const left = gone(each[i]);
      signal(each[i], 'SIGKILL');
      await left;
    },
    /** As a cable that is pulled: it says nothing more, and nothing reaches it. */
    freeze: (i) => signal(each[i], 'SIGSTOP'),
    thaw: (i) => signal(each[i], 'SIGCONT'),
    async synced(i) {
      while (!(await isSynced(each[i]))) await wait(200);
    },
    async stop() {
      for (const node of each) signal(node, 'SIGCONT');
      const left = each.map(gone);
      for (const node of each) signal(node, 'SIGKILL');
      await Promise.all(left);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
