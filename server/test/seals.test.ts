import { ed25519 } from '@noble/curves/ed25519.js';
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { archetypes, sealText, type JobFile, type Seal, type Standing } from '@iron-cradle/core';
import { fileWith, renamed } from '../../e2e/lib/files.ts';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { openDatabase } from '../src/db/connect.ts';
import { verifyFile } from '../src/keeping/file.ts';
import { verifyShop } from '../src/keeping/verify.ts';
import { fingerprintOf, isSealOf, shopKey } from '../src/sealing/key.ts';
import { Tablet } from './tablet.ts';

const place = mkdtempSync(join(tmpdir(), 'seals-'));
const KEY = join(place, 'quay.pem');
const SIGNED = 'demo-saloon';

let quay: Shop;
let other: Shop;
let here: Tablet;
let there: Tablet;
beforeAll(async () => {
  quay = await openShop({ fresh: true, env: { KEY_FILE: KEY } });
  other = await openShop({ fresh: true });
  [here, there] = [new Tablet(quay, 'quay'), new Tablet(other, 'other')];
  for (const tablet of [here, there]) await tablet.signIn('marit', '3690');
});
afterAll(async () => {
  await Promise.all([quay.stop(), other.stop()]);
  rmSync(place, { recursive: true, force: true });
});

const fileOf = async (tablet: Tablet, id = SIGNED): Promise<JobFile> =>
  (await tablet.call('GET', `/jobs/${id}/file`)).json;
const standing = async (tablet: Tablet, id = SIGNED): Promise<Standing> =>
  (await tablet.call('GET', `/jobs/${id}/standing`)).json;
test('a signed job is sealed at its gates and at its name, and says so', async () => {
  const { seals = [], entries } = await fileOf(here);
  const kinds = seals.map(({ seq }) => entries[seq - 1]!.kind);
  expect(new Set(kinds)).toEqual(new Set(['gate', 'signed']));
  expect(kinds.at(-1)).toBe('signed');
  expect(entries.filter(({ kind }) => kind === 'gate')).toHaveLength(kinds.filter((kind) => kind === 'gate').length);
  expect(await standing(here)).toMatchObject({
    is: 'verifiedHere',
    upTo: seals.at(-1)!.seq,
    verdict: { outcome: 'good' },
  });
  // One that is open and went through no gate has none.
  await here.append('job-s', [
    here.entry('job-s', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, 'marit'),
  ]);
  expect(await standing(here, 'job-s')).toMatchObject({ is: 'notSealed', after: expect.any(Number) });
  expect((await here.call('GET', '/jobs/no-such-job/standing')).status).toBe(404);
});

test('a seal is one to anybody who knows Ed25519: another library says so, of the words and the key as published', async () => {
  const { seals = [] } = await fileOf(here);
  const seal = seals.at(-1)!;
  // SubjectPublicKeyInfo of Ed25519: twelve bytes that say so, then the 32 of the key (RFC 8410, 4 and 10.1).
  const spki = Buffer.from(seal.publicKey, 'base64');
  expect(spki.subarray(0, 12).toString('hex')).toBe('302a300506032b6570032100');
  const verified = (words: string) =>
    ed25519.verify(Buffer.from(seal.signature, 'base64'), Buffer.from(words), spki.subarray(12));
  expect(verified(sealText(SIGNED, seal))).toBe(true);
  expect(verified(sealText('another-job', seal))).toBe(false);
  expect(fingerprintOf(seal.publicKey)).toBe(createHash('sha256').update(spki).digest('hex'));
  // Nothing of the private half leaves the machine: the file is its owner's alone.
  expect(statSync(KEY).mode & 0o777).toBe(0o600);
});

test('no seal holds on another job, another head, another time, or under another key', async () => {
  const seal = (await fileOf(here)).seals!.at(-1)!;
  const stranger = shopKey(join(place, 'stranger.pem'));
  expect(isSealOf(SIGNED, seal)).toBe(true);
  const changed: Partial<Seal>[] = [
    { seq: seal.seq - 1 },
    { hash: 'f'.repeat(64) },
    { at: '2020-01-01T00:00:00.000Z' },
    { publicKey: stranger.publicKey },
    { publicKey: 'no key' },
    { signature: '' },
  ];
  expect(changed.map((change) => isSealOf(SIGNED, { ...seal, ...change }))).toEqual(changed.map(() => false));
  expect(isSealOf('another-job', seal)).toBe(false);
});

describe('a job brought in', () => {
  const bring = (file: unknown) => there.call('POST', '/jobs/import', file);

  test('under a seal that does not fit, or changed under one that did: nothing of it is taken', async () => {
    const file = renamed(await fileOf(here, 'demo-saloon'), 'brought-wrong');
    // The seals were put on the other name.
    expect((await bring(file)).json.errors[0].field).toBe('seals[0]');
    const cut = { ...file, seals: [{ ...file.seals![0]!, seq: 9999 }] };
    expect((await bring(cut)).status).toBe(400);
    expect((await there.call('GET', '/jobs/brought-wrong/file')).status).toBe(404);
  });

  test('without a seal, with one nobody knows, with one that the lead compared', async () => {
    const key = shopKey(join(place, 'third.pem'));
    const bare = renamed(await fileOf(here), 'brought-bare');
    const { seals: _, ...unsealed } = bare;
    expect((await bring(unsealed)).status).toBe(201);
    expect(await standing(there, 'brought-bare')).toMatchObject({ is: 'notSealed', verdict: { outcome: 'unknown' } });

    const sealed = renamed(await fileOf(here), 'brought-sealed');
    const head = { seq: sealed.entries.length - 1, hash: sealed.entries.at(-2)!.hash, at: new Date().toISOString() };
    expect((await bring({ ...sealed, seals: [key.seal('brought-sealed', head)] })).status).toBe(201);
    const unknown = await standing(there, 'brought-sealed');
    expect(unknown).toMatchObject({ is: 'unknownKey', after: 1, verdict: { outcome: 'unknown' } });
    expect(unknown.text).toContain(key.fingerprint.slice(0, 4));

    const path = `/keys/${key.fingerprint}`;
    const bo = new Tablet(other, 'bo');
    await bo.signIn('bo', '1470');
    expect((await bo.call('PUT', path, { shop: 'Third Street' })).status).toBe(403);
    expect((await there.call('PUT', path, { shop: ' ' })).status).toBe(400);
    expect((await there.call('PUT', path, { shop: 'Third Street' })).json).toMatchObject({ whose: 'compared' });
    const compared = await standing(there, 'brought-sealed');
    expect(compared).toMatchObject({ is: 'broughtIn', verdict: { outcome: 'good' } });
    expect(compared.text).toContain('sealed by Third Street');
    await there.call('PUT', path, { shop: null });
    expect((await standing(there, 'brought-sealed')).is).toBe('unknownKey');
    // Sealed here later, it is still not of here.
    expect((await fileOf(there, 'brought-sealed')).seals).toHaveLength(1);
  });

  test('our own key is nobody’s to give away', async () => {
    const keys = (await there.call('GET', '/keys')).json as { fingerprint: string; whose: string }[];
    const own = keys.find(({ whose }) => whose === 'own')!;
    expect((await there.call('PUT', `/keys/${own.fingerprint}`, { shop: 'Third Street' })).status).toBe(409);
    expect((await there.call('PUT', '/keys/abc', { shop: 'Third Street' })).status).toBe(404);
  });

  test('a photo that is not the one that was taken', async () => {
    const picture = readFileSync(join(import.meta.dirname, '../../docs/screenshots/bays.png'));
    const named = (sha256: string) => {
      const opened = here.entry(
        'photo-job',
        'opened',
        { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! },
        'marit',
      );
      const photo = here.entry('photo-job', 'photo', { file: 'a-picture', sha256 }, 'marit');
      return fileWith('photo-job', [opened, photo], { 'a-picture': picture.toString('base64') });
    };
    expect((await bring(named('0'.repeat(64)))).json.errors[0].field).toBe('photos.a-picture');
    expect((await bring(named(createHash('sha256').update(picture).digest('hex')))).status).toBe(201);
  });
});

test('a file handed on is verified with the shop’s key at hand and without', async () => {
  const path = join(place, 'job.json');
  writeFileSync(path, JSON.stringify(await fileOf(here)));
  const { standing: without } = await verifyFile(path);
  expect(without.is).toBe('unknownKey');
  expect((await verifyFile(path, shopKey(KEY).fingerprint)).standing.is).toBe('verifiedHere');
  const file = await fileOf(here);
  writeFileSync(
    path,
    JSON.stringify({ ...file, seals: file.seals!.map((seal) => ({ ...seal, at: '2020-01-01T00:00:00Z' })) }),
  );
  await expect(verifyFile(path)).rejects.toThrow(/does not fit/);
});

test('the whole shop: a seal that was moved, and a photo that was put in another’s place, are told', async () => {
  const db = await openDatabase(other.db.url());
  const broken = async () => (await verifyShop(db)).broken.map(({ text }) => text);
  expect(await broken()).toEqual([]);
  const { Seal: Seals, Photo } = db.models;
  await Seals.update({ seq: 2 }, { where: { jobId: 'brought-sealed' } });
  await Photo.update({ bytes: Buffer.from('another') }, { where: { id: 'a-picture' } });
  expect((await broken()).sort()).toEqual([
    'its photo a-picture is not the one that was taken',
    'its seal on entry 2 does not fit it',
  ]);
  expect(await standing(there, 'brought-sealed')).toMatchObject({ is: 'doesNotHold', verdict: { outcome: 'bad' } });
  await db.sequelize.close();
});

test('a key that is lost is made anew: what it sealed stays verified, what is sealed now is too', async () => {
  const before = (await fileOf(here)).seals!;
  await quay.kill();
  rmSync(KEY);
  await quay.start();
  expect(await standing(here)).toMatchObject({ is: 'verifiedHere' });
  const again = { ...here.entry(SIGNED, 'reopened', { reason: 'a clamp' }, 'marit'), at: new Date().toISOString() };
  expect((await here.append(SIGNED, [again])).json).toMatchObject({ refused: [], keptBack: [] });
  const after = (await fileOf(here)).seals!;
  expect(after.slice(0, before.length)).toEqual(before);
  expect(after.at(-1)!.publicKey).not.toBe(before.at(-1)!.publicKey);
  expect(await standing(here)).toMatchObject({ is: 'verifiedHere', after: 0 });
  const keys = (await here.call('GET', '/keys')).json as { whose: string }[];
  expect(keys.filter(({ whose }) => whose === 'own')).toHaveLength(2);
});

test('a file that holds no such key stops the start, and is left as it is', () => {
  const broken = join(place, 'broken.pem');
  writeFileSync(broken, 'not a key');
  const told = spawnSync(process.execPath, ['server/dist/main.mjs'], {
    cwd: join(import.meta.dirname, '../..'),
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      DATABASE_URL: other.db.url(),
      PORT: '0',
      KEY_FILE: broken,
      CRADLE_DEMO: 'no',
    },
    encoding: 'utf8',
  });
  expect(told.status).not.toBe(0);
  expect(told.stderr).toContain('expected a private key of Ed25519');
  expect(readFileSync(broken, 'utf8')).toBe('not a key');
});
