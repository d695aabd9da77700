import type { Database } from '../db/connect.ts';
import type { ShopKey } from '../sealing/key.ts';
import { States } from './states.ts';
import { Summaries } from './summaries.ts';

/** Where jobs stand, what is at hand of them, and what they are sealed with. */
export interface Shelves {
  /** The database. */
  db: Database;
  /** States at hand. */
  states: States;
  /** Rows for the bays. */
  summaries: Summaries;
  /** The shop's key; null: nothing is sealed. */
  key: ShopKey | null;
}

/** Shelves over a database, with nothing at hand yet. @example shelvesOf(db, null) */
export function shelvesOf(db: Database, key: ShopKey | null): Shelves {
  const states = new States(db);
  return { db, states, summaries: new Summaries(db, states), key };
}
