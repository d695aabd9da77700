import 'reflect-metadata';
import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { pino } from 'pino';
import { makeApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDatabase } from './db/connect.ts';
import { fillWithDemo } from './demo/fill.ts';
import { sayIfRestored } from './keeping/restored.ts';
import { shelvesOf } from './jobs/shelves.ts';
import { openSecurityLog } from './http/securityLog.ts';
import { inLink, lanAddresses, lanHosts, lanNames } from './lan/addresses.ts';
import { lanKeys } from './lan/authority.ts';
import { pairingRoutes } from './lan/pairing.ts';
import { shopKey } from './sealing/key.ts';
import { knowOwnKey } from './sealing/seals.ts';

const config = readConfig();
const logger = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const db = await openDatabase(config.databaseUrl, (text) => console.log(text));
await sayIfRestored(db, (text) => console.log(text));
const key = config.keyFile ? shopKey(config.keyFile) : null;
if (!key) console.log('KEY_FILE is not set: no log is sealed.');
else if (await knowOwnKey(db, key))
  console.log(
    `The shop’s key was not at ${config.keyFile}: another one seals from now on. Former seals go on being verified.`,
  );
const shelves = shelvesOf(db, key);
const isDemo = config.demo ? await fillWithDemo(shelves) : false;
const keys = config.lan ? await lanKeys(config.lan, lanHosts()) : null;
const portOf = (of: Server | null): number => {
  const address = of?.address();
  return typeof address === 'object' && address ? address.port : 0;
};
const app = await makeApp(shelves, {
  webRoot: config.webRoot,
  demo: isDemo,
  logger,
  rates: config.rates,
  ...(logger.level === 'silent' && !config.securityLog ? {} : { securityLog: openSecurityLog(config.securityLog) }),
  // Addresses of a machine change; where it listens to this machine only, nobody comes by them.
  names: () => [...config.hosts, ...(config.host === '127.0.0.1' ? [] : lanNames())],
  ...(keys
    ? { before: pairingRoutes({ ca: keys.ca, httpPort: () => portOf(server), httpsPort: () => portOf(secure) }) }
    : {}),
});
const server = createServer(app);
const secure = keys ? createSecureServer({ cert: keys.cert, key: keys.key }, app) : null;

for (const [of, port] of [
  [server, config.port],
  [secure, config.httpsPort],
] as const)
  of?.on('error', (error: NodeJS.ErrnoException) => {
    const text =
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken. Start with another one: PORT=8080 npm start`
        : error.message;
    console.error(text);
    process.exit(2);
  });

/** A connection that is idle is kept so long, ms: longer than a proxy or a browser keeps it, so that none is closed under a request. */
const IDLE = 65_000;
for (const of of [server, secure]) if (of) Object.assign(of, { keepAliveTimeout: IDLE, headersTimeout: IDLE + 1_000 });

const listen = (of: Server, port: number) =>
  new Promise<void>((resolve) => void of.listen(port, config.host, () => resolve()));
await listen(server, config.port);
if (secure) await listen(secure, config.httpsPort);
console.log(`Iron Cradle is at http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${portOf(server)}`);
if (secure) {
  for (const address of lanAddresses())
    console.log(`On the shop’s network: https://${inLink(address)}:${portOf(secure)}`);
  console.log(`Pair a phone: http://${inLink(lanAddresses()[0] ?? 'localhost')}:${portOf(server)}/pair`);
}
if (process.connected) process.send?.({ ready: true, port: portOf(server), httpsPort: portOf(secure) });

/** Ctrl-C and kill: no new requests, open streams closed, then the pool. */
let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  for (const of of [server, secure]) {
    of?.close();
    of?.closeAllConnections();
  }
  await db.sequelize.close().catch(() => undefined);
  process.exit(0);
}
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
process.on('disconnect', () => void stop());
