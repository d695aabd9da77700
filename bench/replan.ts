import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { build } from 'vite';
import { launch } from '../e2e/lib/browser.ts';

/** The plan made anew after one surprise, in a worker of the browser. A frame of 60 a second is 16.7 ms. */
export async function benchReplan(): Promise<void> {
  const built = await build({
    configFile: false,
    logLevel: 'silent',
    define: { 'process.env.NODE_ENV': '"production"' },
    build: {
      write: false,
      lib: { entry: new URL('./replan.worker.ts', import.meta.url).pathname, formats: ['es'], fileName: 'replan' },
    },
  });
  const code = (Array.isArray(built) ? built[0]! : built) as { output: { code?: string }[] };
  // Served, since a page without an origin may start no worker.
  const server = createServer((request, response) => {
    const script = request.url === '/replan.js';
    response.setHeader('Content-Type', script ? 'text/javascript' : 'text/html');
    response.end(script ? code.output[0]!.code : '<!doctype html><title>replan</title>');
  });
  await new Promise<void>((resolve) => void server.listen(0, '127.0.0.1', () => resolve()));
  const { port } = server.address() as AddressInfo;
  const browser = await launch();
  try {
    const page = await browser.newPage();
    await page.goto(`http://127.0.0.1:${port}/`);
    const times = await page.evaluate(
      () =>
        new Promise<number[]>((resolve, reject) => {
          const worker = new Worker('/replan.js', { type: 'module' });
          worker.onmessage = ({ data }: MessageEvent<number[]>) => resolve(data);
          worker.onerror = (event) => reject(new Error(event.message || 'the worker did not start'));
        }),
    );
    const share = (at: number) => times[Math.min(times.length - 1, Math.floor(times.length * at))]!;
    const frame = 1000 / 60;
    console.log(
      `${'next stop after a surprise, in the browser'.padEnd(44)} median ${(share(0.5) / frame).toFixed(2)} of a frame, 95 % ${(share(0.95) / frame).toFixed(2)}, worst ${(times.at(-1)! / frame).toFixed(2)} (${times.length} vehicles)`,
    );
  } finally {
    await browser.close();
    server.close();
  }
}
