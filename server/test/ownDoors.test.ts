import { request as ask } from 'node:http';
import { QueryTypes } from 'sequelize';
import { archetypes } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { openDatabase } from '../src/db/connect.ts';
import { readConfig } from '../src/config.ts';
import { Tablet } from './tablet.ts';

/** Who may come in by which name, and what the database’s own user may do. */
let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.stop());

/** Under a name of one’s choice, which fetch does not let one say. */
const under = (host: string, { path = '/api/health', method = 'GET', headers = {} } = {}) =>
  new Promise<number>((resolve, reject) => {
    const request = ask(
      { host: '127.0.0.1', port: shop.port, path, method, headers: { host, ...headers } },
      (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      },
    );
    request.on('error', reject);
    request.end();
  });

describe('names', () => {
  test.each(['localhost', '127.0.0.1', 'LOCALHOST', '[::1]'])('%s is this machine, on any port', async (name) => {
    expect(await under(`${name}:${shop.port}`)).toBe(200);
    expect(await under(name)).toBe(200);
  });
  test.each(['shop.example', '192.168.1.20', 'localhost.example', '127.0.0.1.example'])(
    '“%s” is not answered, neither the interface for programs nor a page',
    async (name) => {
      expect([await under(name), await under(name, { path: '/' })]).toEqual([421, 421]);
    },
  );
  test('names of a proxy are set where it is started', () => {
    const env = { DATABASE_URL: 'mariadb://a/b', HOSTS: ' Cradle.Example, tablet.example ,' };
    expect(readConfig(env).hosts).toEqual(['cradle.example', 'tablet.example']);
    expect(readConfig({ DATABASE_URL: 'mariadb://a/b' }).hosts).toEqual([]);
  });
  test('what changes something comes from a page of this server, or from no page', async () => {
    const host = `127.0.0.1:${shop.port}`;
    const post = (origin?: string) =>
      under(host, { path: '/api/session', method: 'DELETE', headers: origin === undefined ? {} : { origin } });
    expect(await post()).toBe(204);
    expect(await post(`http://${host}`)).toBe(204);
    for (const origin of ['http://shop.example', `http://localhost:${shop.port}`, 'null', 'http://127.0.0.1:1'])
      expect(await post(origin)).toBe(403);
    expect(await under(host, { headers: { origin: 'http://shop.example' } })).toBe(200);
  });
});

test('the database’s user has the product’s own databases and nothing else of the server', async () => {
  const db = await openDatabase(shop.db.url());
  const query = (sql: string) => db.sequelize.query<Record<string, string>>(sql, { type: QueryTypes.SELECT });
  const grants = (await query('SHOW GRANTS')).map((row) => Object.values(row)[0]!);
  expect(grants.filter((grant) => grant.includes('ON *.*')).map((grant) => grant.split(' ON ')[0])).toEqual([
    'GRANT USAGE',
  ]);
  await expect(query('SELECT * FROM mysql.global_priv')).rejects.toThrow(/denied/);
  expect(await query("SELECT LOAD_FILE('/etc/hostname') AS f")).toEqual([{ f: null }]);
  await expect(db.sequelize.query('CREATE DATABASE others', { type: QueryTypes.RAW })).rejects.toThrow(/denied/);
  await db.sequelize.close();
});

test('rows of the bays follow the log, also those a server that was cut off had not reckoned', async () => {
  const one = new Tablet(shop, 'one');
  await one.signIn();
  await one.append('job-row', [
    one.entry('job-row', 'opened', { name: 'Van of the row', complaint: 'pump', vehicle: archetypes[0]! }),
  ]);
  const row = async () => (await one.call('GET', '/jobs')).json.find((job: { id: string }) => job.id === 'job-row');
  const before = await row();
  expect(before).toMatchObject({ name: 'Van of the row', station: 'plan' });
  const db = await openDatabase(shop.db.url());
  await db.models.Job.update({ summary: '{}', summarySeq: 0 }, { where: { id: 'job-row' } });
  expect(await row()).toEqual(before);
  // And is written down with it.
  expect(JSON.parse((await db.models.Job.findByPk('job-row'))!.summary)).toMatchObject({ name: 'Van of the row' });
  await db.models.Job.update({ summary: '{}', summarySeq: 0 }, { where: { id: 'job-row' } });
  await db.sequelize.close();
  await shop.kill();
  await shop.start();
  expect(await row()).toEqual(before);
});
