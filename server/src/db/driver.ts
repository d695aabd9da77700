import mariadb, { type Connection, type ConnectionConfig } from 'mariadb';
import type { Address } from './addresses.ts';

/** “Not ready for use”: what a node says that is alone or still catching up. */
const NOT_READY = 1047;
/** What a node says that is on its way there: it can't tell what the others acknowledged, or lost them at a commit. */
const LEFT_BEHIND = new Set([NOT_READY, 1180, 1205]);
/** The node of a cluster that is cut off keeps silent: after so long the next one is asked, ms. */
const SILENT = { connecting: 2_000, answering: 10_000 };
/** Where there is only one, it is waited for. */
const PATIENT = { connecting: 5_000, answering: 0 };

class NotReady extends Error {
  override name = 'NotReady';
  errno = NOT_READY;
}

/** A node of a cluster reads what the others have acknowledged; one that is not ready is left at once. */
async function joined(connection: Connection): Promise<Connection> {
  const rows: { Variable_name: string; Value: string }[] = await connection.query(
    "SHOW GLOBAL STATUS WHERE Variable_name IN ('wsrep_ready', 'wsrep_provider_name')",
  );
  const status = Object.fromEntries(rows.map((row) => [row.Variable_name, row.Value]));
  if (!status.wsrep_provider_name) return connection;
  if (status.wsrep_ready !== 'ON') {
    connection.destroy();
    throw new NotReady('this node of the cluster is not ready');
  }
  await connection.query('SET SESSION wsrep_sync_wait = 1');
  const query = connection.query.bind(connection) as (...args: unknown[]) => Promise<unknown>;
  // Not given back to the pool: whoever asks next is connected to another node.
  const leaving = (...args: unknown[]) =>
    query(...args).catch((error: { errno?: number }) => {
      if (LEFT_BEHIND.has(error.errno ?? 0)) connection.destroy();
      throw error;
    });
  return Object.assign(connection, { query: leaving as Connection['query'] });
}

/**
 * The database's driver, for one or several addresses: a new connection is made to the one that answered last, else to the next.
 *
 * @param patient nothing is given up for being silent: tables of many rows are altered in one statement
 * @throws what the first of them answered, where none takes a connection
 * @example new Sequelize(url, { dialect: 'mariadb', dialectModule: driverFor(addresses) })
 */
export function driverFor(addresses: readonly Address[], { patient = false } = {}): object {
  const { connecting, answering } = addresses.length > 1 ? SILENT : PATIENT;
  const times = { connectTimeout: connecting, socketTimeout: patient ? 0 : answering };
  let current = 0;
  const createConnection = async (config: ConnectionConfig): Promise<Connection> => {
    let failed: unknown;
    for (const i of addresses.keys()) {
      const at = (current + i) % addresses.length;
      try {
        const connection = await joined(await mariadb.createConnection({ ...config, ...times, ...addresses[at] }));
        current = at;
        return connection;
      } catch (error) {
        failed ??= error;
      }
    }
    throw failed;
  };
  return { ...mariadb, createConnection };
}
