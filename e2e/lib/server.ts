import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';

const root = new URL('../../', import.meta.url).pathname;

/** A database in the server all tests share. */
interface Db {
  url: () => string;
  folder: string;
  stop: () => Promise<void>;
}

/** A whole MariaDB of a test file’s own, which may be killed and has a history. */
interface OwnDb extends Db {
  /** Of one of its databases; of the shop’s where none is named. */
  url: (name?: string) => string;
  pid: () => number;
  launch: () => Promise<number>;
}

export interface Shop<D extends Db = Db> {
  base: string;
  port: number;
  /** 0 where it is not on the network. */
  httpsPort: number;
  db: D;
  /** Of the server’s process. */
  pid: () => number;
  /** Kills the server as a power cut would. */
  kill: () => Promise<void>;
  /** Starts it again on the same port. */
  start: () => Promise<void>;
  stop: () => Promise<void>;
}

/** A shop whose MariaDB may be killed too. */
export type OwnShop = Shop<OwnDb>;

/** A MariaDB of its own for one test file, in a folder that goes when it stops. */
export async function ownDatabase({ history = false } = {}): Promise<OwnDb> {
  mkdirSync(join(root, '.cradle'), { recursive: true });
  const folder = mkdtempSync(join(root, '.cradle', 'test-'));
  const path = '../../scripts/lib/mariadb.mjs';
  const { startMariaDb } = (await import(path)) as {
    startMariaDb: (folder: string, options: { history: boolean }) => Promise<OwnDb>;
  };
  const db = await startMariaDb(folder, { history });
  return {
    ...db,
    folder,
    stop: async () => {
      await db.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** An empty database, or one with the demo shop in it as just after its first start, in the server all tests share. */
export async function sharedDatabase(demo = false): Promise<Db> {
  const path = '../../scripts/lib/testBase.mjs';
  const base = (await import(path)) as { sharedDatabase: (what: { demo: boolean }) => Promise<Db> };
  return base.sharedDatabase({ demo });
}

interface Opening {
  demo?: boolean;
  /** Another shop than all others: its demo filled by its own first start, sealed with a key of its own. */
  fresh?: boolean;
  host?: string;
  lan?: boolean;
  env?: Record<string, string>;
  /** Another server before the same database: it ends with the first. */
  beside?: Shop | null;
  /** A database that is there already, and is somebody else's to end. */
  before?: Db | null;
}

/** The same before a MariaDB of its own, filled by its own first start: for what is killed or put back from a copy. */
export async function openOwnShop(opening: Omit<Opening, 'before' | 'beside'> = {}): Promise<OwnShop> {
  const db = await ownDatabase();
  const shop = await openShop({ ...opening, before: db });
  const { stop } = shop;
  return Object.assign(shop, {
    db,
    stop: async () => {
      await stop();
      await db.stop();
    },
  });
}

/** The whole application as a person meets it: database, built web, one port. The demo shop is there already, as after its first start. */
export async function openShop({
  demo = true,
  fresh = false,
  host = '127.0.0.1',
  lan = false,
  env = {},
  beside = null,
  before = null,
}: Opening = {}): Promise<Shop> {
  const db = beside?.db ?? before ?? (await sharedDatabase(demo && !fresh));
  let child: ChildProcess | null = null;
  let port = 0;
  let httpsPort = 0;
  const start = () =>
    new Promise<void>((resolve, reject) => {
      child = spawn(process.execPath, ['--enable-source-maps', join(root, 'server/dist/main.mjs')], {
        cwd: root,
        stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
        env: {
          ...process.env,
          NODE_OPTIONS: '',
          LOG_LEVEL: 'silent',
          DATABASE_URL: db.url(),
          HOST: host,
          PORT: String(port),
          ...(lan ? { CRADLE_LAN: join(db.folder, 'lan'), HTTPS_PORT: String(httpsPort) } : {}),
          WEB_ROOT: join(root, 'web/dist'),
          KEY_FILE: join(db.folder, 'keys', 'shop.pem'),
          ...env,
          CRADLE_DEMO: demo ? 'yes' : 'no',
        },
      });
      child.once('exit', (code) => reject(new Error(`server ended with ${code}`)));
      child.once('message', (message: { port: number; httpsPort: number }) => {
        port = message.port;
        httpsPort = message.httpsPort;
        resolve();
      });
    });
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      if (!child || child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill(signal);
    });
  await start();
  return {
    get base() {
      return `http://127.0.0.1:${port}`;
    },
    get port() {
      return port;
    },
    get httpsPort() {
      return httpsPort;
    },
    db,
    pid: () => child?.pid ?? 0,
    kill: () => end('SIGKILL'),
    start,
    stop: async () => {
      await end('SIGTERM');
      if (!beside && !before) await db.stop();
    },
  };
}

/** An address of this machine that is not loopback: there a browser gives no secure context. */
export function otherAddress(): string | null {
  for (const list of Object.values(networkInterfaces()))
    for (const net of list ?? []) if (net.family === 'IPv4' && !net.internal) return net.address;
  return null;
}

export const profile = (): string => mkdtempSync(join(tmpdir(), 'cradle-browser-'));
