import { startingShop, type Shop } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';

/** The shop as it is set now. */
export async function readShop(db: Database): Promise<Shop> {
  const row = await db.models.Setting.findByPk('shop');
  return row ? { ...startingShop, ...(JSON.parse(row.value) as Partial<Shop>) } : startingShop;
}

/** Keeps the shop as it is to be. Jobs that are under way get its figures as entries of their own. */
export async function writeShop(db: Database, shop: Shop): Promise<void> {
  await db.models.Setting.upsert({ name: 'shop', value: JSON.stringify(shop) });
}
