import { createRequire } from 'node:module';
import {
  cellText,
  ownersPage,
  photoLetters,
  recordCode,
  recordSections,
  sectionsFirst,
  type HeldBody,
  type JobRecord,
  type RecordSection,
  type Standing,
  type UnitSystem,
} from '@iron-cradle/core';
import { format } from 'date-fns';
import type pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { holdSvg, wellSvg } from './drawings.ts';
import { fonts, runs } from './fonts.ts';
import { printedPhotos, type Picture, type Printed } from './photosOf.ts';

/** The writer of the library as it stands: a document of pdfkit that is still open, to which files are added. */
interface OpenPdf extends NodeJS.ReadableStream {
  file: (bytes: Buffer, options: { name: string; type: string; description: string }) => void;
  end: () => void;
}

type Maker = typeof pdfmake & {
  setUrlAccessPolicy: (allows: (url: string) => boolean) => void;
  setLocalAccessPolicy: (allows: (path: string) => boolean) => void;
};
let ready: Maker | null = null;

/** The library, at the first record that is printed: a server that was killed need not wait for it. */
function maker(): Maker {
  if (ready) return ready;
  ready = createRequire(import.meta.url)('pdfmake') as Maker;
  ready.setFonts(fonts);
  // Nothing is fetched, and of this machine only its own fonts are read.
  ready.setUrlAccessPolicy(() => false);
  const own = new Set(Object.values(fonts).flatMap((family) => Object.values(family).map(String)));
  ready.setLocalAccessPolicy((path) => own.has(path));
  return ready;
}

/** For whom a record is printed. */
export type Reader = 'shop' | 'owner';

/** What a PDF is made from. */
export interface PdfOptions {
  /** In whose units. */
  units: UnitSystem;
  /** For the shop with all of it, or for the owner in plain words. */
  reader: Reader;
  /** Pictures of the job. */
  pictures: readonly Picture[];
  /** Who vouches for its log, and how far. */
  standing: Standing;
}

const text = (words: string, style: object = {}): Content => ({ text: runs(words) as Content[], ...style });

/**
 * A record as PDF: fonts in it, its words found by a search, pages numbered, the hold drawn, photos by their letters, the job file attached, its
 * head as a code.
 *
 * @throws where a font of its own is missing
 * @example (await recordPdf(record, { units: 'metric', reader: 'shop', pictures: [], standing })).subarray(0, 5).toString() // '%PDF-'
 */
export async function recordPdf(record: JobRecord, options: PdfOptions): Promise<Buffer> {
  const document = options.reader === 'owner' ? forOwner(record, options) : forShop(record, options);
  const open = (await maker().createPdf(document).getStream()) as unknown as OpenPdf;
  const { job } = record.file;
  if (options.reader === 'shop')
    open.file(Buffer.from(JSON.stringify(record.file)), {
      name: `job-${job.number}.json`,
      type: 'application/json',
      description: 'the whole job: its log, as it is chained',
    });
  const pieces: Buffer[] = [];
  return new Promise((resolve, reject) => {
    open.on('data', (piece: Buffer) => pieces.push(piece));
    open.on('end', () => resolve(Buffer.concat(pieces)));
    open.on('error', reject);
    open.end();
  });
}

function frame({ file, title, state }: JobRecord, content: Content[]): TDocumentDefinitions {
  const { job, shop, chain } = file;
  return {
    pageSize: 'A4',
    pageMargins: [48, 52, 48, 56],
    info: { title, subject: `job ${job.number}`, author: shop.name },
    language: 'en',
    defaultStyle: { font: 'Archivo', fontSize: 11, lineHeight: 1.15, color: '#000000' },
    content,
    footer: (page, pages) => ({
      margin: [48, 14, 48, 0],
      columns: [
        text(`${shop.name} · job ${job.number} · ${chain.length} entries, chain ${chain.last.slice(0, 8)}…`),
        text(`${state.signed ? '' : 'not signed · '}page ${page} of ${pages}`, { alignment: 'right', width: 150 }),
      ],
      fontSize: 11,
    }),
  };
}

function heading({ file, state, title }: JobRecord): Content[] {
  const { identity } = state;
  const facts = [
    file.shop.name,
    format(new Date(state.openedAt), 'd MMMM yyyy'),
    ...(identity ? [`${identity.mileage.toLocaleString('en').replaceAll(',', ' ')} ${identity.unit}`] : []),
    ...(identity ? [`plate ${identity.plate}`] : []),
  ];
  return [
    text(title, { fontSize: 22, bold: true }),
    text(facts.join(' · '), { margin: [0, 2, 0, 6] }),
    ...(state.signed
      ? []
      : [text('Not signed. What is owed stands in the job.', { bold: true, margin: [0, 0, 0, 6] })]),
  ];
}

/** Made anew each time: the library writes into what it is given. */
const rule = (): Content => ({
  canvas: [{ type: 'line', x1: 0, y1: 0, x2: 499, y2: 0, lineWidth: 1.5 }],
  margin: [0, 6, 0, 8],
});

function forShop(record: JobRecord, { units, pictures, standing }: PdfOptions): TDocumentDefinitions {
  const { state, file, name, chords, sentences } = record;
  const photos = printedPhotos(record, pictures);
  const letters = photoLetters(photos);
  const counted = new Set(state.heads.filter((head) => head.counts).map((head) => head.id));
  const holds = file.entries
    .filter((entry) => entry.kind === 'held' && counted.has(entry.id))
    .flatMap((entry) => holdSvg(entry.body as unknown as HeldBody) ?? []);
  return frame(record, [
    ...heading(record),
    ...sectionsFirst(record, units).map(section),
    text(sentences.join(' '), { fontSize: 13, margin: [0, 6, 0, 0] }),
    rule(),
    {
      columns: [
        { svg: wellSvg(chords, letters), width: 250 },
        { stack: holds.slice(-2).map((svg): Content => ({ svg, width: 240 })), width: '*' },
      ],
      columnGap: 9,
    },
    ...recordSections(record, units).map(section),
    ...photoPages(photos),
    rule(),
    {
      columns: [
        {
          stack: [
            text('Signed', { bold: true }),
            text(
              state.signed
                ? `${name(state.signed.by)}, ${format(new Date(state.signed.at), 'd MMMM yyyy, H:mm')}`
                : 'not yet',
              { fontSize: 14 },
            ),
            ...state.countersigned.map((c) =>
              text(`countersigned ${name(c.by)}, ${format(new Date(c.at), 'd MMMM yyyy')}`),
            ),
            ...state.followUpsDone.map((f) => text(`follow-up done: ${f.text} (${name(f.by)})`)),
            text(standing.text, { margin: [0, 6, 12, 0] }),
            text(
              'The code holds the head of this job’s chain and the seal on it; the job itself is attached. The service information for the vehicle and local codes come before this record.',
              { margin: [0, 8, 12, 0] },
            ),
          ],
        },
        { qr: recordCode(file.job, file.chain.last, file.seals), fit: 110, width: 120 },
      ],
      unbreakable: true,
    },
  ]);
}

function forOwner(record: JobRecord, { units }: PdfOptions): TDocumentDefinitions {
  return frame(record, [
    ...heading(record),
    rule(),
    ...ownersPage(record, units).map(({ title, lines }): Content => ({
      stack: [text(title, { fontSize: 16, bold: true }), ...lines.map((line) => text(line, { fontSize: 14 }))],
      margin: [0, 0, 0, 12],
      unbreakable: lines.length < 12,
    })),
  ]);
}

function section({ title, lines, table }: RecordSection): Content {
  return {
    stack: [
      text(title, { fontSize: 14, bold: true, margin: [0, 10, 0, 2] }),
      ...lines.map((line) => text(line)),
      ...(table
        ? [
            {
              layout: 'lightHorizontalLines',
              table: {
                headerRows: 1,
                widths: table.head.map((head) => (head === 'no.' ? 24 : '*')),
                body: [
                  table.head.map((head) => text(head, { bold: true })),
                  ...table.rows.map((row) => row.map((cell) => text(cellText(cell)))),
                ],
              },
            } satisfies Content,
          ]
        : []),
    ],
  };
}

/** Three beside each other, each with its letter. */
function photoPages(photos: readonly Printed[]): Content[] {
  if (photos.length === 0) return [];
  const shown = photos.filter(({ url }) => url !== null);
  const rows = Array.from({ length: Math.ceil(shown.length / 3) }, (_, i) => shown.slice(3 * i, 3 * i + 3));
  return [
    text('Photos', { fontSize: 14, bold: true, margin: [0, 10, 0, 2] }),
    ...rows.map((row): Content => ({
      columns: row.map(({ url, caption }) => ({
        stack: [{ image: url!, fit: [155, 140] }, text(caption)],
        width: 163,
      })),
      unbreakable: true,
      margin: [0, 0, 0, 8],
    })),
    ...photos.filter(({ url }) => url === null).map(({ caption }) => text(caption)),
  ];
}
