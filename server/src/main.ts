import 'reflect-metadata';
import { createServer } from 'node:http';
import { pino } from 'pino';
import { makeApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDatabase } from './db/connect.ts';
import { fillWithDemo } from './demo/fill.ts';

const config = readConfig();
const logger = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const db = await openDatabase(config.databaseUrl);
const isDemo = config.demo ? await fillWithDemo(db) : false;
const app = await makeApp(db, { webRoot: config.webRoot, demo: isDemo, logger });
const server = createServer(app);

server.on('error', (error: NodeJS.ErrnoException) => {
  const text =
    error.code === 'EADDRINUSE'
      ? `Port ${config.port} is taken. Start with another one: PORT=8080 npm start`
      : error.message;
  console.error(text);
  process.exit(2);
});

server.listen(config.port, config.host, () => {
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  console.log(`Iron Cradle is at http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${port}`);
  if (process.connected) process.send?.({ ready: true, port });
});

/** Ctrl-C and kill: no new requests, open streams closed, then the pool. */
let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  server.close();
  server.closeAllConnections();
  await db.sequelize.close().catch(() => undefined);
  process.exit(0);
}
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
process.on('disconnect', () => void stop());
