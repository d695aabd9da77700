// Tests that drive a browser: one Chromium for all the files of a worker, each file in contexts of its own.
import { TestEnvironment } from 'jest-environment-node';
import puppeteer from 'puppeteer-core';

const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
];

/** A browser; by a pipe, so that it ends with the process that began it, however that ends. */
const begin = (options = {}) =>
  puppeteer.launch({
    executablePath: process.env.CHROMIUM || '/usr/bin/chromium-headless-shell',
    headless: 'shell',
    pipe: true,
    args: ARGS,
    ...options,
  });

let shared = null;

/** The worker’s own; a new one where it crashed. */
async function ofThisWorker() {
  const had = await shared?.catch(() => null);
  if (!had?.connected) shared = begin();
  return shared;
}

export default class BrowserEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { browsers: { shared: ofThisWorker, begin } });
  }
}
