import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { strFromU8, unzipSync, zipSync } from 'fflate';
import jsqr from 'jsqr';
import Papa from 'papaparse';
import { archetypes, type JobFile } from '@iron-cradle/core';
import { runs } from '../src/record/fonts.ts';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { Tablet } from './tablet.ts';

/** One pixel, PNG: by the signature and chunks of its specification (W3C PNG, 5.2 and 11.2). */
const pixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);
const require = createRequire(import.meta.url);
const JOB = 'job-on-paper';

let shop: Shop;
let tablet: Tablet;
let cookie = '';
beforeAll(async () => {
  shop = await openShop();
  const answer = await fetch(`${shop.base}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ personId: 'ines', pin: '2580' }),
  });
  cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
  tablet = new Tablet(shop, 'paper');
  await tablet.signIn();
  await tablet.append(JOB, [
    tablet.entry(JOB, 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
    tablet.entry(JOB, 'complaintTest', { test: 'volts at the plug', result: 'shown', words: '62 Ω, ≈ 4 V → low' }),
    tablet.entry(JOB, 'container', { number: 1, capacity: 20, litres: 18.5, clean: true }),
    tablet.entry(JOB, 'cleared', { key: 'line:vent', tag: 7 }),
    tablet.entry(JOB, 'photo', { file: 'photo-paper', key: 'line:vent' }),
    tablet.entry(JOB, 'photo', { file: 'photo-none-', key: 'line:vent' }),
    tablet.entry(JOB, 'made', { key: 'line:vent' }),
    tablet.entry(JOB, 'torque', {
      key: `support:${archetypes[0]!.supports[0]!.id}`,
      asWritten: '=1+1',
      lo: 40,
      hi: 40,
    }),
    tablet.entry(JOB, 'deviation', {
      debt: 'identity',
      what: 'shield',
      reason: 'łost in the müd',
      who: 'owner',
      due: 'next',
    }),
    tablet.entry(JOB, 'held', {
      readings: Array.from({ length: 64 }, (_, i) => [i, Math.round((58 - 0.02 * i) ** 2)]),
      step: 12,
      celsius: 18,
      hole: '0.020',
      aired: true,
      volume: { lo: 60, hi: 70 },
    }),
  ]);
  await fetch(`${shop.base}/api/jobs/${JOB}/photos/photo-paper`, {
    method: 'PUT',
    headers: { cookie, 'Content-Type': 'image/png' },
    body: pixel as unknown as BodyInit,
  });
});
afterAll(() => shop.stop());

const read = async (path: string): Promise<{ status: number; type: string; name: string; bytes: Buffer }> => {
  const response = await fetch(`${shop.base}/api/jobs/${JOB}/${path}`, { headers: { cookie } });
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    name: response.headers.get('content-disposition') ?? '',
    bytes: Buffer.from(await response.arrayBuffer()),
  };
};

/** The PDF as another library reads it. */
const opened = async (bytes: Buffer) => {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const home = dirname(require.resolve('pdfjs-dist/package.json'));
  return getDocument({
    data: new Uint8Array(bytes),
    standardFontDataUrl: `${join(home, 'standard_fonts')}/`,
    verbosity: 0,
  }).promise;
};
type Opened = Awaited<ReturnType<typeof opened>>;
const wordsOf = async (pdf: Opened): Promise<string> => {
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      return items.map((item) => ('str' in item ? item.str : '')).join('');
    }),
  );
  return pages.join('\n');
};
/** A page as it is seen, a pixel a point and a half. */
const seen = async (pdf: Opened, page: number) => {
  const { createCanvas } = await import('@napi-rs/canvas');
  const one = await pdf.getPage(page);
  const viewport = one.getViewport({ scale: 2 });
  const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height));
  const context = canvas.getContext('2d');
  await one.render({ canvas: canvas as never, canvasContext: context as never, viewport }).promise;
  // Drawing holds this process for seconds; the server gives idle connections up meanwhile: asked until none of them is left.
  for (let fine = 0; fine < 3;)
    fine = await fetch(`${shop.base}/api/health`).then(
      () => fine + 1,
      () => 0,
    );
  return { ...context.getImageData(0, 0, canvas.width, canvas.height), width: canvas.width, height: canvas.height };
};

describe('the record on paper', () => {
  let pdf: Opened;
  let bytes: Buffer;
  beforeAll(async () => {
    const answer = await read('record.pdf');
    expect(answer).toMatchObject({ status: 200, type: 'application/pdf' });
    expect(answer.name).toMatch(/job-\d+\.pdf/);
    bytes = answer.bytes;
    pdf = await opened(bytes);
  });

  test('its words are found by a search: signs beyond Latin too, deviations before what was proved, pages numbered', async () => {
    const words = await wordsOf(pdf);
    expect(words).toContain('volts at the plug');
    expect(words).toContain('62 Ω, ≈ 4 V → low');
    expect(words).toContain('łost in the müd');
    expect(words).toContain(`page 1 of ${pdf.numPages}`);
    expect(words).toMatch(/b: 7 .*in the job file only/);
    expect(words.indexOf('Left off, with a reason')).toBeLessThan(words.indexOf('Torques'));
    expect(words.indexOf('Left off, with a reason')).toBeGreaterThan(-1);
  });

  test('every font stands in it', () => {
    const text = bytes.toString('latin1');
    const fonts = [...text.matchAll(/\/BaseFont \/([\w+-]+)/g)].map(([, name]) => name!);
    expect(fonts.length).toBeGreaterThanOrEqual(3);
    // A subset carries six letters and a plus before its name (ISO 32000-1, 9.6.4, from memory): it is embedded.
    for (const font of fonts) expect(font).toMatch(/^[A-Z]{6}\+/);
  });

  test('and is seen: title, omega and the line of the hold are ink, its code is read by another library', async () => {
    const file = (await tablet.call('GET', `/jobs/${JOB}/file`)).json as JobFile;
    const page = await seen(pdf, 1);
    const dark = (x0: number, y0: number, x1: number, y1: number): number => {
      let count = 0;
      for (let y = y0; y < y1; y++)
        for (let x = x0; x < x1; x++) if (page.data[4 * (y * page.width + x)]! < 128) count += 1;
      return count;
    };
    // The title’s line, 52 pt from the top, drawn at two pixels a point.
    expect(dark(90, 100, 600, 150)).toBeGreaterThan(500);
    // Each run of the omega lies where the text layer says it does.
    const { items } = await (await pdf.getPage(1)).getTextContent();
    const omega = items.find((item) => 'str' in item && item.str.includes('Ω'));
    const [, , , , x, y] = (omega as { transform: number[] }).transform as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const at = { x: Math.round(2 * x), y: Math.round(page.height - 2 * y) };
    expect(dark(at.x, at.y - 20, at.x + 24, at.y + 4)).toBeGreaterThan(20);
    const last = await seen(pdf, pdf.numPages);
    const pages = [page, last];
    const codes = pages.flatMap((one) => jsqr(new Uint8ClampedArray(one.data), one.width, one.height)?.data ?? []);
    expect(codes).toContain(`iron-cradle job ${file.job.number} ${JOB} ${file.chain.last}`);
  });

  test('the job itself is attached, as it is chained', async () => {
    const files = (await pdf.getAttachments()) as Record<string, { content: Uint8Array }>;
    const [name] = Object.keys(files);
    expect(name).toMatch(/^job-\d+\.json$/);
    const attached = JSON.parse(Buffer.from(files[name!]!.content).toString()) as JobFile;
    expect(attached).toEqual((await tablet.call('GET', `/jobs/${JOB}/file`)).json);
  });

  test('in the reader’s units; the owner’s page in plain words carries no log', async () => {
    const us = await wordsOf(await opened((await read('record.pdf?units=us')).bytes));
    expect(us).toContain('4.89 gal came out');
    expect(us).not.toContain('18.5 L came out');
    const owner = await opened((await read('record.pdf?for=owner')).bytes);
    const words = await wordsOf(owner);
    expect(words).toContain('Why it came');
    expect(words).toContain('do not drive on, call us');
    expect(words).not.toMatch(/entered|verdict|chord/);
    expect(await owner.getAttachments()).toBeNull();
  });

  test('nobody who is not signed in, no job that is not there, no units nobody knows', async () => {
    expect((await fetch(`${shop.base}/api/jobs/${JOB}/record.pdf`)).status).toBe(401);
    expect((await fetch(`${shop.base}/api/jobs/none/record.pdf`, { headers: { cookie } })).status).toBe(404);
    expect((await read('record.pdf?units=furlongs')).status).toBe(400);
    expect((await read('tables/secrets.csv')).status).toBe(400);
    expect((await read('tables/constructor.csv')).status).toBe(400);
  });
});

test('text falls to the font that has its signs; what none has is a question mark', () => {
  expect(runs('62 Ω ≥ 4 łódź 漢')).toEqual([
    { text: '62 ', font: 'Archivo' },
    { text: 'Ω', font: 'Math' },
    { text: ' ', font: 'Archivo' },
    { text: '≥', font: 'Math' },
    { text: ' 4 ', font: 'Archivo' },
    { text: 'ł', font: 'ArchivoExt' },
    { text: 'ód', font: 'Archivo' },
    { text: 'ź', font: 'ArchivoExt' },
    { text: ' ?', font: 'Archivo' },
  ]);
});

describe('tables', () => {
  const table = async (name: string): Promise<string[][]> =>
    Papa.parse<string[]>((await read(`tables/${name}.csv`)).bytes.toString().replace(/^\uFEFF/, ''), {
      delimiter: ';',
      skipEmptyLines: true,
    }).data;
  test('as another library reads them: torques, fuel, readings, hours; a formula is text', async () => {
    const torques = await table('torques');
    expect(torques[0]).toEqual(['of', 'as written', 'N·m', 'file', 'lies on the thread', 'by']);
    expect(torques[1]!.slice(1, 3)).toEqual(["'=1+1", '40']);
    expect((await table('fuel'))[1]!.slice(1, 4)).toEqual(['out', '18.5 L', 'can 1, clean']);
    const readings = await table('readings');
    expect(readings).toHaveLength(65);
    expect(readings[2]!.slice(1)).toEqual(['1', String(Math.round(57.98 ** 2))]);
    const hours = await table('hours');
    expect(hours[1]![0]).toBe('Ines');
    expect(await table('parts')).toHaveLength(1);
  });
});

test('the job file fits the schema that is served; one that lost a hash, or has a kind nobody knows, does not', async () => {
  const fits = new Ajv2020({ strict: false, validateFormats: false }).compile(
    (await tablet.call('GET', '/jobs/schema')).json as object,
  );
  for (const id of [JOB, 'demo-saloon', 'demo-van-4', 'demo-minibus']) {
    const file = (await tablet.call('GET', `/jobs/${id}/file`)).json as JobFile;
    expect({ id, fits: fits(file), errors: fits.errors }).toEqual({ id, fits: true, errors: null });
    const [first, ...rest] = file.entries;
    expect(fits({ ...file, entries: [{ ...first, hash: undefined }, ...rest] })).toBe(false);
    expect(fits({ ...file, entries: [{ ...first, kind: 'guessed' }, ...rest] })).toBe(false);
  }
});

describe('all of it as one zip', () => {
  const zipped = async () => unzipSync(new Uint8Array((await read('file.zip')).bytes));
  test('job, photos as pictures, record and tables', async () => {
    const parts = await zipped();
    expect(Object.keys(parts).sort()).toEqual([
      'job.json',
      'photos/photo-paper.png',
      'record.pdf',
      'tables/fuel.csv',
      'tables/hours.csv',
      'tables/joints.csv',
      'tables/parts.csv',
      'tables/readings.csv',
      'tables/torques.csv',
    ]);
    expect(Buffer.from(parts['photos/photo-paper.png']!).equals(pixel)).toBe(true);
    expect(JSON.parse(strFromU8(parts['job.json']!))).toEqual((await tablet.call('GET', `/jobs/${JOB}/file`)).json);
  });

  test('comes in elsewhere with its photos; damaged, without a job, or too large it is refused and nothing is taken', async () => {
    const parts = await zipped();
    const bomb = zipSync({ 'job.json': new Uint8Array(210_000_000) }, { level: 1 });
    expect(bomb.length).toBeLessThan(2_000_000);
    const other = await openShop({ fresh: true });
    const there = new Tablet(other, 'there');
    await there.signIn();
    const login = await fetch(`${other.base}/api/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ personId: 'ines', pin: '2580' }),
    });
    const key = login.headers.get('set-cookie')!.split(';')[0]!;
    const bring = async (bytes: Uint8Array) => {
      const response = await fetch(`${other.base}/api/jobs/import`, {
        method: 'POST',
        headers: { cookie: key, 'Content-Type': 'application/zip' },
        body: bytes as unknown as BodyInit,
      });
      return { status: response.status, text: await response.text() };
    };
    const whole = zipSync(parts);
    expect((await bring(whole.subarray(0, whole.length - 200))).status).toBe(400);
    expect((await bring(new Uint8Array([1, 2, 3]))).status).toBe(400);
    expect((await bring(zipSync({ 'photos/photo-paper.png': new Uint8Array(pixel) }))).text).toContain('no job.json');
    expect((await bring(zipSync({ 'job.json': new TextEncoder().encode('[') }))).status).toBe(400);
    // A little that unpacks to a lot is told by its head.
    expect(await bring(bomb)).toMatchObject({ status: 400, text: expect.stringContaining('210 MB') as string });
    expect((await there.call('GET', `/jobs/${JOB}/file`)).status).toBe(404);
    expect((await bring(whole)).status).toBe(201);
    const back = (await there.call('GET', `/jobs/${JOB}/file?photos=yes`)).json as JobFile;
    expect(back.photos).toEqual({ 'photo-paper': pixel.toString('base64') });
    expect(back.chain).toEqual((JSON.parse(strFromU8(parts['job.json']!)) as JobFile).chain);
    await other.stop();
  });
});
