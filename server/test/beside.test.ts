import { createConnection } from 'mariadb';
import { ownDatabase } from '../../e2e/lib/server.ts';
import { PATIENCE } from '../../e2e/lib/until.ts';

/** Two databases on one machine, of two shops or of another program: neither touches what is the other's. */
test('a database that starts leaves the passing tables of one that runs alone', async () => {
  const first = await ownDatabase();
  const { hostname, port, username, password, pathname } = new URL(first.url());
  const there = await createConnection({
    host: hostname,
    port: Number(port),
    user: username,
    password,
    database: pathname.slice(1),
    connectTimeout: PATIENCE,
  });
  try {
    // One that is kept in files, as a large sort or a change of a table keeps its own.
    await there.execute('CREATE TEMPORARY TABLE passing (id INT) ENGINE=Aria');
    await there.execute('INSERT INTO passing VALUES (1)');
    const second = await ownDatabase();
    try {
      expect(await there.execute('SELECT id FROM passing')).toEqual([{ id: 1 }]);
      await there.execute('DROP TEMPORARY TABLE passing');
    } finally {
      await second.stop();
    }
  } finally {
    await there.end();
    await first.stop();
  }
});
