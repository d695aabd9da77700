import { figuresOf, inWords } from '@iron-cradle/core';
import { append } from '../jobs/appending/append.ts';
import type { Shelves } from '../jobs/shelves.ts';
import { hashPin } from '../people/signIn.ts';
import { readShop, writeShop } from '../shop/shop.ts';
import { demoJobs } from './jobs.ts';
import { demoPeople } from './people.ts';
import { demoVehicles } from './vehicles.ts';

/**
 * Fills an empty database with the demo shop, or goes on where that was cut off: a garage in an invented ferry town.
 *
 * @returns whether this database is the demo shop's, so that its PINs may be shown
 */
export async function fillWithDemo(shelves: Shelves, now = new Date()): Promise<boolean> {
  const { db } = shelves;
  const { Person, Setting, Vehicle } = db.models;
  const begun = await Setting.findByPk('demo');
  if (begun?.value === 'yes') return true;
  if (!begun && (await Person.count()) > 0) return false;
  // Said first, so that a start that was cut off here goes on; every step below may be done again.
  await Setting.upsert({ name: 'demo', value: 'begun' });
  for (const { id, name, role, pin } of demoPeople)
    await Person.findOrCreate({ where: { id }, defaults: { id, name, role, pinHash: await hashPin(pin) } });
  await writeShop(db, {
    ...(await readShop(db)),
    name: 'Tarrow Quay Garage',
    alone: 25,
    two: 30,
    prices: { currency: 'cr', hour: 58, disposal: 1.4 },
    bays: [
      { name: 'Bay 1, two-post', kind: 'two-post' },
      { name: 'Bay 2, flat ground', kind: 'flat' },
    ],
  });
  for (const file of demoVehicles)
    await Vehicle.upsert({ id: file.id, name: file.name, mounting: file.mounting, document: JSON.stringify(file) });
  const figures = figuresOf(await readShop(db));
  for (const entries of demoJobs(now)) {
    const { jobId, by } = entries[0] ?? { jobId: '', by: '' };
    const { refused, keptBack } = await append(shelves, { jobId, entries, personId: by, tokens: 'own', figures });
    const wrong = refused[0]?.text ?? keptBack[0]?.errors[0]?.expected;
    if (wrong) throw new Error(`The demo shop does not fit its own rules: ${inWords(wrong)}`);
  }
  await Setting.upsert({ name: 'demo', value: 'yes' });
  return true;
}
