import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { connected } from '../src/db/connect.ts';
import { migrate } from '../src/db/migrate.ts';
import { badNight, delivered, mustBeWhole, opened, wait } from './badNight.ts';
import { Tablet } from './tablet.ts';

/** Three nodes of a cluster and two servers, each preferring another node. KILLS=300 for a long night. */
const KILLS = Number(process.env.KILLS ?? 6);
/** A node that is cut off for so long is left out by the others and has to come back, ms. */
const CUT = 6_000;

interface Cluster {
  url: (from?: number, database?: string) => string;
  pid: (i: number) => number;
  launch: (i: number) => Promise<void>;
  kill: (i: number) => Promise<void>;
  freeze: (i: number) => void;
  thaw: (i: number) => void;
  synced: (i: number) => Promise<void>;
  stop: () => Promise<void>;
}

let cluster: Cluster;
let first: Shop;
let second: Shop;
const folder = mkdtempSync(join(tmpdir(), 'cradle-servers-'));
beforeAll(async () => {
  const path = '../../scripts/lib/galera.mjs';
  const { startCluster } = (await import(path)) as { startCluster: () => Promise<Cluster> };
  cluster = await startCluster();
});
afterAll(async () => {
  await second?.stop();
  await first?.stop();
  await cluster?.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** As a process manager does it: one that ends at its start, its cluster being unwell, is started again. */
async function started(shop: Shop): Promise<void> {
  for (let tries = 1; ; tries++)
    try {
      return await shop.start();
    } catch (error) {
      if (tries >= 10) throw error;
      await wait(500);
    }
}

test('two servers that start at once before two nodes of an empty cluster bring the tables to the same shape', async () => {
  const plain = await connected(cluster.url());
  await plain.query('CREATE DATABASE cradle_alone CHARACTER SET utf8mb4', { type: QueryTypes.RAW });
  await plain.query('CREATE DATABASE cradle_both CHARACTER SET utf8mb4', { type: QueryTypes.RAW });
  await plain.close();
  const alone = await connected(cluster.url(0, 'cradle_alone'));
  await migrate(alone);
  const both = await Promise.all([0, 1].map((from) => connected(cluster.url(from, 'cradle_both'))));
  await Promise.all(both.map((one) => migrate(one)));
  const shapeOf = (name: string) =>
    alone.query<object>(
      `SELECT table_name, column_name, column_type FROM information_schema.columns WHERE table_schema = '${name}' ORDER BY 1, 2`,
      { type: QueryTypes.SELECT },
    );
  const shape = await shapeOf('cradle_both');
  expect(shape.length).toBeGreaterThan(50);
  expect(shape).toEqual(await shapeOf('cradle_alone'));
  for (const one of [alone, ...both]) await one.close();
});

test('what was acknowledged at one node is read at the other at once', async () => {
  const [here, there] = await Promise.all([0, 1].map((from) => connected(cluster.url(from))));
  await here!.query('CREATE TABLE seen (n INT PRIMARY KEY)', { type: QueryTypes.RAW });
  for (let n = 1; n <= 50; n++) {
    await here!.query(`INSERT INTO seen VALUES (${n})`, { type: QueryTypes.INSERT });
    const [row] = await there!.query<{ n: number }>('SELECT MAX(n) AS n FROM seen', { type: QueryTypes.SELECT });
    expect(row!.n).toBe(n);
  }
  await here!.query('DROP TABLE seen', { type: QueryTypes.RAW });
  for (const one of [here, there]) await one!.close();
});

test('a server goes on by another node when its own is killed', async () => {
  const before = {
    url: () => cluster.url(0),
    stop: cluster.stop,
    folder,
  };
  first = await openShop({ before });
  second = await openShop({ beside: first, env: { DATABASE_URL: cluster.url(1) } });
  const tablet = new Tablet(first, 'tablet');
  await tablet.signIn('ines', '2580');
  await delivered(tablet, 'job-failover', [opened(tablet, 'job-failover', 'ines')]);
  await cluster.kill(0);
  await delivered(tablet, 'job-failover', [tablet.entry('job-failover', 'note', { text: 'by another node' })]);
  await cluster.launch(0);
});

test(`${KILLS} kills and cuts over nodes and servers under load: nothing acknowledged is lost, every chain is whole, every stream complete`, async () => {
  const kill = async (i: number) => {
    // Each of the three in turn, also the one a server prefers.
    const node = Math.floor(i / 3) % 3;
    if (i % 3 === 1) {
      await cluster.kill(node);
      await wait(300);
      await cluster.launch(node);
    } else if (i % 6 === 2) {
      cluster.freeze(node);
      await wait(CUT);
      cluster.thaw(node);
      await wait(500);
      await cluster.synced(node);
    } else {
      const shop = i % 2 ? first : second;
      await shop.kill();
      await started(shop);
    }
  };
  mustBeWhole(await badNight({ first, second, kills: KILLS, kill }), KILLS);
});
