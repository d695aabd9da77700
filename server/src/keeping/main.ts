import 'reflect-metadata';
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { InputError } from '@iron-cradle/core';
import { openDatabase } from '../db/connect.ts';
import { shopKey } from '../sealing/key.ts';
import { backup } from './backup.ts';
import { verifyFile } from './file.ts';
import { putKeysBack, type KeyPlaces } from './keys.ts';
import { openSecurityLog } from '../http/securityLog.ts';
import { makeLead } from './lead.ts';
import type { HistoryTools } from './history.ts';
import { restore, type Until } from './restore.ts';
import { verifyShop, type Checked } from './verify.ts';

/** npm run backup, restore, verify and lead, once a database answers. */
const [what, where, more] = process.argv.slice(2);
const url = process.env.DATABASE_URL ?? '';
const keys: KeyPlaces = { lan: process.env.CRADLE_LAN || null, seal: process.env.KEY_FILE || null };
const counted = ({ jobs, entries, photos }: Checked) =>
  `${jobs} jobs, ${entries} entries, ${photos} photos; every chain and seal holds`;

async function verify(): Promise<void> {
  if (where) {
    const own = keys.seal !== null && existsSync(keys.seal) ? shopKey(keys.seal).fingerprint : null;
    const { number, entries, last, shop, standing } = await verifyFile(where, own);
    console.log(`Job ${number} of “${shop}”: ${entries} entries. ${standing.text}\nIts last hash: ${last}`);
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
  const made = await backup(sequelize, { folder, keys });
  await sequelize.close();
  console.log(`${folder}\n${counted(made)}, as of ${made.made}. It was read back.`);
}

async function putBack(): Promise<void> {
  const { made, before, ...all } = await restore(url, resolve(where ?? ''), until());
  console.log(`The shop stands as of ${made}: ${counted({ made, ...all })}.`);
  if (before) console.log(`What stood there is kept in the database “${before}”.`);
  const { lan, seal } = putKeysBack(resolve(where ?? ''), keys);
  if (lan === 'put back') console.log('The shop’s certificates were put back: paired phones stay paired.');
  if (seal === 'put back') console.log('The key the shop seals with was put back.');
  if (lan === 'stay' || seal === 'stay') console.log('Keys that are here stay; those of the copy lie in its folder.');
}

/** The moment to go to, where one was given: with what plays history, which only the shop's own database keeps. */
function until(): Until | null {
  if (!more) return null;
  const tools = process.env.HISTORY_TOOLS;
  if (!tools)
    throw new InputError('until', more, 'the shop’s own database: of one of yours, play its binary log yourself');
  return { moment: more, tools: JSON.parse(tools) as HistoryTools };
}

async function lead(): Promise<void> {
  const db = await openDatabase(url);
  const person = await makeLead(db, { name: where ?? '', pin: more ?? '' });
  await db.sequelize.close();
  openSecurityLog(process.env.SECURITY_LOG || null).warn({ what: 'made lead at the machine', person });
  console.log(`${where} is lead with that PIN; signed in nowhere any more.`);
}

try {
  await { backup: copy, restore: putBack, verify, lead }[what as 'backup' | 'restore' | 'verify' | 'lead']();
} catch (error) {
  if (!(error instanceof InputError)) throw error;
  console.error(`${error.field}: expected ${error.expected}; found ${error.found}. Nothing was changed.`);
  process.exitCode = 1;
}
