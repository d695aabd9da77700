import { archetypes, type JobFile } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { Tablet } from './tablet.ts';

/** One pixel, PNG: by the signature and chunks of its specification (W3C PNG, 5.2 and 11.2). */
const pixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);
let shop: Shop;
let cookie = '';

beforeAll(async () => {
  shop = await openShop();
  const response = await fetch(`${shop.base}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ personId: 'ines', pin: '2580' }),
  });
  cookie = response.headers.get('set-cookie')!.split(';')[0]!;
  const one = new Tablet(shop, 'one');
  await one.signIn();
  await one.append('job-photo', [
    one.entry('job-photo', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
  ]);
});
afterAll(() => shop.stop());

const put = (job: string, id: string, body: Buffer | string, as = cookie) =>
  fetch(`${shop.base}/api/jobs/${job}/photos/${id}`, {
    method: 'PUT',
    headers: { cookie: as, 'Content-Type': 'image/jpeg' },
    body: body as BodyInit,
  });
const read = (job: string, id: string, as = cookie) =>
  fetch(`${shop.base}/api/jobs/${job}/photos/${id}`, { headers: { cookie: as } });

describe('photos', () => {
  test('come back as they were given, by what they are, not by what was said', async () => {
    expect((await put('job-photo', 'photo-0001', pixel)).status).toBe(204);
    const back = await read('job-photo', 'photo-0001');
    expect(back.headers.get('content-type')).toContain('image/png');
    expect(back.headers.get('x-content-type-options')).toBe('nosniff');
    expect(Buffer.from(await back.arrayBuffer()).equals(pixel)).toBe(true);
  });

  test('go with the job file and come in with it, those its log names and nothing else', async () => {
    const two = new Tablet(shop, 'two');
    await two.signIn();
    await two.append('job-moves', [
      two.entry('job-moves', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
      two.entry('job-moves', 'photo', { file: 'photo-moves', key: 'line:vent' }),
    ]);
    expect((await put('job-moves', 'photo-moves', pixel)).status).toBe(204);
    expect((await two.call('GET', '/jobs/job-moves/file')).json).not.toHaveProperty('photos');
    const file = (await two.call('GET', '/jobs/job-moves/file?photos=yes')).json as JobFile;
    expect(file.photos).toEqual({ 'photo-moves': pixel.toString('base64') });

    const other = await openShop({ fresh: true });
    const there = new Tablet(other, 'there');
    await there.signIn();
    const page = Buffer.from('<html></html>').toString('base64');
    const bad = { ...file, photos: { 'photo-moves': page } };
    const refused = await there.call('POST', '/jobs/import', bad);
    expect(refused).toMatchObject({ status: 400, json: { errors: [{ field: 'photos.photo-moves' }] } });
    const more = { ...file, photos: { ...file.photos, 'photo-stray': pixel.toString('base64') } };
    expect((await there.call('POST', '/jobs/import', more)).status).toBe(201);
    const back = await there.call('GET', '/jobs/job-moves/file?photos=yes');
    expect((back.json as JobFile).photos).toEqual(file.photos);
    await other.stop();
  });

  test('sent twice it is kept once, and what came first stays', async () => {
    expect((await put('job-photo', 'photo-0001', Buffer.concat([pixel, Buffer.from('x')]))).status).toBe(204);
    expect(Buffer.from(await (await read('job-photo', 'photo-0001')).arrayBuffer()).equals(pixel)).toBe(true);
  });

  test('a page that calls itself a picture is refused, so is one too large; nothing is kept of them', async () => {
    const page = await put('job-photo', 'photo-0002', '<html><script>alert(1)</script></html>');
    expect(page.status).toBe(400);
    expect(await page.json()).toMatchObject({ errors: [{ field: 'photo', expected: 'a JPEG or PNG picture' }] });
    // A WebP’s head (RIFF container, from memory): no record could print it.
    const webp = Buffer.concat([Buffer.from('RIFF\x24\0\0\0WEBPVP8 ', 'latin1'), Buffer.alloc(24)]);
    expect((await put('job-photo', 'photo-0006', webp)).status).toBe(400);
    expect((await put('job-photo', 'photo-0003', Buffer.alloc(7 * 1024 * 1024))).status).toBe(413);
    for (const id of ['photo-0002', 'photo-0003', 'photo-0006']) expect((await read('job-photo', id)).status).toBe(404);
  });

  test('belongs to its job, and to people who are signed in', async () => {
    expect((await put('job-none', 'photo-0004', pixel)).status).toBe(404);
    expect((await read('demo-van-4', 'photo-0001')).status).toBe(404);
    expect((await put('job-photo', 'photo-0005', pixel, '')).status).toBe(401);
    expect((await read('job-photo', 'photo-0001', '')).status).toBe(401);
  });
});
