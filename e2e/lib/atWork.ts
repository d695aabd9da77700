import { afterAll, beforeAll } from '@jest/globals';
import type { Page } from 'puppeteer-core';
import { launch, Person, type Browsing } from './browser.ts';
import { openShop, type Shop } from './server.ts';

/** What the tests of one file work in: a demo shop of their own, a browser, and Ines signed in. */
export interface AtWork {
  shop: Shop;
  browser: Browsing;
  ines: Person;
}

/** Opens the demo shop for a test file and closes it afterwards. Filled before its first test. */
export function atWork(viewport: Parameters<Page['setViewport']>[0]): AtWork {
  const at = {} as AtWork;
  beforeAll(async () => {
    at.shop = await openShop();
    at.browser = await launch();
    at.ines = await Person.at(at.browser, at.shop.base, viewport);
    await at.ines.signIn('Ines', '2580');
  });
  afterAll(async () => {
    await at.browser?.close();
    await at.shop?.stop();
  });
  return at;
}
