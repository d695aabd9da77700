// npm run cluster: three nodes of a Galera cluster and two servers on this machine, to see what a shop on several machines would see. What it
// holds is gone when it ends.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { endOn, say } from './lib/say.mjs';
import { inRoot, root } from './lib/paths.mjs';

const PORTS = [4181, 4182];

try {
  const { ensureModules } = await import('./lib/modules.mjs');
  ensureModules();
  const { ensureWeb } = await import('./lib/web.mjs');
  await ensureWeb();
  const { ensureServer, server: main } = await import('./lib/server.mjs');
  await ensureServer();
  const { startCluster } = await import('./lib/galera.mjs');
  const cluster = await startCluster();
  let stopping = false;
  const servers = [];
  const launch = (i) =>
    new Promise((resolve) => {
      const child = spawn(process.execPath, ['--enable-source-maps', main], {
        cwd: root,
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        env: {
          ...process.env,
          DATABASE_URL: cluster.url(i),
          PORT: String(PORTS[i]),
          WEB_ROOT: inRoot('web', 'dist'),
          KEY_FILE: join(cluster.folder, 'shop.pem'),
          SECURITY_LOG: join(cluster.folder, 'security.log'),
        },
      });
      servers[i] = child;
      child.once('message', resolve);
      child.once('exit', () => {
        if (!stopping) setTimeout(() => void launch(i), 500);
      });
    });
  // One after the other: the first fills the demo shop.
  for (const i of PORTS.keys()) await launch(i);
  say('To see what goes on without one of them, kill it:');
  for (const i of PORTS.keys()) say(`  server ${i}: kill -9 ${servers[i].pid} (comes back by itself)`);
  for (let i = 0; i < cluster.nodes; i++) say(`  node ${i}: kill -9 ${cluster.pid(i)} (comes back by itself)`);
  const coming = new Set();
  const comeBack = async (i) => {
    coming.add(i);
    await cluster.launch(i).then(
      () => say(`node ${i} is in again: ${cluster.pid(i)}`),
      (error) => say(error.message),
    );
    coming.delete(i);
  };
  const watch = setInterval(() => {
    for (let i = 0; i < cluster.nodes; i++) if (cluster.pid(i) === 0 && !coming.has(i)) void comeBack(i);
  }, 2_000);
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    clearInterval(watch);
    for (const child of servers) child.kill('SIGTERM');
    await cluster.stop();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
} catch (error) {
  endOn(error);
}
