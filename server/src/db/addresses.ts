/** Where a database, or a node of a cluster, answers. */
export interface Address {
  /** Name or number. */
  host: string;
  /** Port it listens on. */
  port: number;
}

const DEFAULT_PORT = 3306;
const ONE = /^(\[[0-9a-f:.]+\]|[\w.-]+)(?::(\d{1,5}))?$/i;

function addressOf(text: string): Address {
  const [, host, port = String(DEFAULT_PORT)] = ONE.exec(text) ?? [];
  if (!host || Number(port) > 65535)
    throw new Error(`DATABASE_URL: expected host:port after “also=”, with commas between, found “${text}”`);
  return { host: host.replace(/^\[|\]$/g, ''), port: Number(port) };
}

/**
 * Where the database answers: at the address it is called by, and, of a cluster, at the nodes said with `also`, in this order.
 *
 * @returns the address without that list, and all places to try
 * @throws Error naming what can't be an address
 * @example addressesOf('mariadb://u:p@10.0.0.1/cradle?also=10.0.0.2,10.0.0.3:3307').addresses.length // 3
 */
export function addressesOf(databaseUrl: string): { url: string; addresses: Address[] } {
  const url = new URL(databaseUrl);
  const also = (url.searchParams.get('also') ?? '').split(',').filter((text) => text.trim() !== '');
  url.searchParams.delete('also');
  return {
    url: url.href,
    addresses: [addressOf(url.host), ...also.map((text) => addressOf(text.trim()))],
  };
}
