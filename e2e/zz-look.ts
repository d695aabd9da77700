import { openShop } from './lib/server.ts';
import { launch, Person } from './lib/browser.ts';
