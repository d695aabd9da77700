import { strFromU8, strToU8, unzip, zip, type AsyncZippable } from 'fflate';
import { deeper } from '../http/depth.ts';
import { InputError, type JobFile } from '@iron-cradle/core';

/** Kinds of pictures, by the ending of their names. */
const ENDINGS: Record<string, string> = { 'image/jpeg': 'jpg', 'image/png': 'png' };
/** What a job unpacked may come to: bytes in all, and parts. */
const MOST = { bytes: 200_000_000, parts: 2_000 };
const JOB = 'job.json';
const PHOTO = /^photos\/([\w-]{8,60})\.(?:jpg|png)$/;

/** What goes into a zip beside the job and its photos. */
export interface Beside {
  /** Its name, with its folder. */
  name: string;
  /** Itself. */
  bytes: Uint8Array;
}

/**
 * A whole job as one zip: its file, its photos as pictures, and what stands beside them.
 *
 * @example await zipJob(file, pictures, [{ name: 'record.pdf', bytes }])
 */
export function zipJob(
  file: JobFile,
  pictures: readonly { id: string; type: string; bytes: Buffer }[],
  beside: readonly Beside[],
): Promise<Uint8Array> {
  const parts: AsyncZippable = { [JOB]: strToU8(JSON.stringify(file, null, 1)) };
  // Pictures are small already.
  for (const { id, type, bytes } of pictures) parts[`photos/${id}.${ENDINGS[type] ?? 'bin'}`] = [bytes, { level: 0 }];
  for (const { name, bytes } of beside) parts[name] = bytes;
  return new Promise((resolve, reject) =>
    zip(parts, { level: 6 }, (error, bytes) => (error ? reject(error) : resolve(bytes))),
  );
}

/**
 * A job out of its zip, photos in it; nothing else in the zip is unpacked.
 *
 * @throws InputError for what is no zip, one without a job, or one that unpacks to too much
 * @example (await unzipJob(bytes)).job.number
 */
export async function unzipJob(bytes: Uint8Array): Promise<JobFile> {
  let total = 0;
  let count = 0;
  const wrong = (found: string) =>
    new InputError('zip', found, `a zip with ${JOB} and its photos, up to 200 MB unpacked`);
  const parts = await new Promise<Record<string, Uint8Array>>((resolve, reject) => {
    const filter = ({ name, originalSize }: { name: string; originalSize: number }): boolean => {
      count += 1;
      if (name !== JOB && !PHOTO.test(name)) return false;
      total += originalSize;
      // Told by its head, before anything is unpacked.
      return total <= MOST.bytes && count <= MOST.parts;
    };
    try {
      unzip(bytes, { filter }, (error, all) => (error ? reject(wrong('a damaged one')) : resolve(all)));
    } catch {
      reject(wrong('a damaged one'));
    }
  });
  if (total > MOST.bytes || count > MOST.parts) throw wrong(`${Math.round(total / 1e6)} MB in ${count} parts`);
  const job = parts[JOB];
  if (!job) throw wrong(`no ${JOB}`);
  if (deeper(job)) throw wrong(`a ${JOB} nested without end`);
  let file: JobFile;
  try {
    file = JSON.parse(strFromU8(job)) as JobFile;
  } catch {
    throw wrong(`a ${JOB} that cannot be read`);
  }
  if (typeof file !== 'object' || file === null) throw wrong(`a ${JOB} that is no job`);
  const photos = Object.entries(parts).flatMap(([name, picture]) => {
    const id = PHOTO.exec(name)?.[1];
    return id ? [[id, Buffer.from(picture).toString('base64')] as const] : [];
  });
  return { ...file, photos: { ...file.photos, ...Object.fromEntries(photos) } };
}
