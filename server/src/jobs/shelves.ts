import type { Database } from '../db/connect.ts';
import type { ShopKey } from '../sealing/key.ts';
import { Together } from './appending/together.ts';
import { States } from './states.ts';
import { Summaries } from './summaries.ts';

/** Where jobs stand, what is at hand of them, and what they are sealed with. */
export interface Stock {
  /** The database. */
  db: Database;
  /** States at hand. */
  states: States;
  /** Rows for the bays. */
  summaries: Summaries;
  /** The shop's key; null: nothing is sealed. */
  key: ShopKey | null;
}

/** The same, with what all that is added to jobs goes through. */
export interface Shelves extends Stock {
  /** Those who add at once go together. */
  together: Together;
}

/** Shelves over a database, with nothing at hand yet. @example shelvesOf(db, null) */
export function shelvesOf(db: Database, key: ShopKey | null): Shelves {
  const states = new States(db);
  const stock = { db, states, summaries: new Summaries(db, states), key };
  return { ...stock, together: new Together(stock) };
}
