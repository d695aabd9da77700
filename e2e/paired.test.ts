import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { Browser } from 'puppeteer-core';
import { launch, launchOwn, Person, phone, type Browsing } from './lib/browser.ts';
import { openShop, otherAddress, type Shop } from './lib/server.ts';

const host = otherAddress();
const home = mkdtempSync(join(tmpdir(), 'cradle-home-'));
let shop: Shop;
let stranger: Browsing;
let paired: Browser;
let bo: Person;

/** Puts an authority among those the browser of this home trusts, as a person does with a phone. */
function trust(pem: string): void {
  const folder = join(home, '.pki', 'nssdb');
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(home, 'authority.crt'), pem);
  const certutil = process.env.CERTUTIL ?? 'certutil';
  for (const args of [
    ['-N', '--empty-password'],
    ['-A', '-n', 'the shop', '-t', 'C,,', '-i', join(home, 'authority.crt')],
  ]) {
    const done = spawnSync(certutil, ['-d', `sql:${folder}`, ...args], { encoding: 'utf8' });
    if (done.status !== 0) throw new Error(done.stderr);
  }
}

beforeAll(async () => {
  shop = await openShop({ lan: true, host: '0.0.0.0' });
  stranger = await launch();
});
afterAll(async () => {
  await stranger?.close();
  await paired?.close();
  await shop?.stop();
  rmSync(home, { recursive: true, force: true });
});

const secure = () => `https://${host ?? '127.0.0.1'}:${shop.httpsPort}`;
const plain = () => `http://${host ?? '127.0.0.1'}:${shop.port}`;

test('the pairing page: its code leads a phone back to it, its link to https; read at 390', async () => {
  const visitor = await Person.at(stranger, plain(), phone);
  await visitor.go('/pair');
  const code = (await visitor.page.waitForSelector('.code svg'))!;
  const png = PNG.sync.read(Buffer.from(await code.screenshot()));
  const found = jsQR(new Uint8ClampedArray(png.data), png.width, png.height);
  expect(found?.data).toBe(`${plain()}/pair`);
  expect(await visitor.page.$eval('a[href^="https:"]', (a) => a.getAttribute('href'))).toBe(`${secure()}/`);
  expect(await visitor.sideways()).toBe(0);
  expect(await visitor.seriousFaults()).toEqual([]);
});

test('a browser that does not trust the shop’s authority is stopped', async () => {
  const visitor = await Person.at(stranger, secure(), phone);
  await expect(visitor.page.goto(secure())).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/);
});

test('one that trusts it has a secure page: worker, locks, wake lock and camera are there', async () => {
  trust(await (await fetch(`${shop.base}/pair/authority.crt`)).text());
  paired = await launchOwn(home);
  bo = await Person.at(paired, secure(), phone);
  await bo.signIn('Bo', '1470');
  const has = await bo.page.evaluate(async () => ({
    secure: isSecureContext,
    worker: Boolean((await navigator.serviceWorker.ready).active),
    locks: 'locks' in navigator,
    wakeLock: 'wakeLock' in navigator,
    camera: Boolean(navigator.mediaDevices),
    hashes: Boolean(crypto.subtle),
  }));
  expect(has).toEqual({ secure: true, worker: true, locks: true, wakeLock: true, camera: true, hashes: true });
});

test('from it the work is done, and goes on while the server is away', async () => {
  await bo.go('/jobs/demo-van-4/drop');
  await bo.sees('Something holds');
  const stops = (await bo.log('demo-van-4')).length;
  await bo.tap('[data-action=as-said]');
  await bo.page.waitForFunction(
    async (n) =>
      ((await (await fetch('/api/jobs/demo-van-4/entries')).json()) as { entries: unknown[] }).entries.length > n,
    { polling: 200 },
    stops,
  );
  await shop.kill();
  await bo.tap('[data-action=as-said]');
  await bo.sees('1 entry is kept here');
  // Reloaded from what the device keeps, without any server.
  await bo.page.reload({ waitUntil: 'load' });
  await bo.sees('1 entry is kept here');
  await bo.page.waitForSelector('[data-action=as-said]');
  await shop.start();
  await bo.page.waitForSelector('[data-band=away]', { hidden: true });
  await bo.page.waitForFunction(
    async (n) =>
      ((await (await fetch('/api/jobs/demo-van-4/entries')).json()) as { entries: unknown[] }).entries.length > n,
    { polling: 200 },
    stops + 1,
  );
});
