import 'reflect-metadata';
import { resolve } from 'node:path';
import { InputError } from '@iron-cradle/core';
import { openDatabase } from '../db/connect.ts';
import { backup } from './backup.ts';
import { verifyFile } from './file.ts';
import { putKeysBack } from './keys.ts';
import { restore } from './restore.ts';
import { verifyShop, type Checked } from './verify.ts';

/** npm run backup, restore and verify, once a database answers. */
const [what, where] = process.argv.slice(2);
const url = process.env.DATABASE_URL ?? '';
const counted = ({ jobs, entries, photos }: Checked) =>
  `${jobs} jobs, ${entries} entries, ${photos} photos; every chain holds`;

async function verify(): Promise<void> {
  if (where) {
    const { number, entries, last, shop } = await verifyFile(where);
    console.log(`Job ${number} of “${shop}”: ${entries} entries, the chain holds.\nIts last hash: ${last}`);
    return;
  }
  const db = await openDatabase(url);
  const { broken, ...all } = await verifyShop(db);
  await db.sequelize.close();
  if (broken.length === 0) return console.log(`${counted(all)}.`);
  for (const { job, text } of broken) console.log(`Job ${job}: ${text}.`);
  process.exitCode = 1;
}

async function copy(): Promise<void> {
  const folder = resolve(where ?? '');
  const { sequelize } = await openDatabase(url);
  const made = await backup(sequelize, { folder, keys: process.env.CRADLE_LAN ?? null });
  await sequelize.close();
  console.log(`${folder}\n${counted(made)}, as of ${made.made}. It was read back.`);
}

async function putBack(): Promise<void> {
  const { made, before, ...all } = await restore(url, resolve(where ?? ''));
  console.log(`The shop stands as of ${made}: ${counted({ made, ...all })}.`);
  if (before) console.log(`What stood there is kept in the database “${before}”.`);
  const keys = process.env.CRADLE_LAN;
  const became = keys ? putKeysBack(resolve(where ?? ''), keys) : 'none';
  if (became === 'put back') console.log('The shop’s own keys were put back: paired phones stay paired.');
  if (became === 'stay') console.log('The shop has keys already; those of the copy lie in its folder “keys”.');
}

try {
  await { backup: copy, restore: putBack, verify }[what as 'backup' | 'restore' | 'verify']();
} catch (error) {
  if (!(error instanceof InputError)) throw error;
  console.error(`${error.field}: expected ${error.expected}; found ${error.found}. Nothing was changed.`);
  process.exitCode = 1;
}
