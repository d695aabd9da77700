import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { store, storeOrNone } from './db.ts';
import { newId } from './device.ts';
import { setLine } from './line.ts';

/** Longer side of a kept photo, px, and how it is packed: enough to read a mark, small enough for a pit's network. */
const LONG_SIDE = 1600;
const QUALITY = 0.82;
const RETRY_MS = 5000;

const listeners = new Set<() => void>();
/** Told when a photo was kept or has arrived. */
export const onPhotos = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => void listeners.delete(tell);
};

/** Shrinks a picture in the browser. @throws Error for what is no picture */
async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('That is no picture this device can read. Expected a photo.');
  });
  const scale = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  if (!blob) throw new Error('The photo could not be packed on this device.');
  return blob;
}

/** Keeps a photo on the device first, then sends it once the server is there. @returns its id and the hash of its bytes, for the log */
export async function keepPhoto(jobId: string, file: Blob): Promise<{ file: string; sha256: string }> {
  const id = newId();
  const blob = await shrink(file);
  try {
    await (await store()).put('photos', { id, jobId, blob, sent: 0 });
  } catch {
    throw new Error('This device has no room left for a photo. Make room on it, then take it again.');
  }
  listeners.forEach((tell) => tell());
  void sendPhotos();
  // Not the browser’s own: without https it has none.
  return { file: id, sha256: bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer()))) };
}

let sending = false;

/** Sends what has not arrived yet, again and again until it has. */
export async function sendPhotos(): Promise<void> {
  if (sending) return;
  sending = true;
  let later = false;
  try {
    const db = await store();
    for (const photo of await db.getAll('photos')) {
      if (photo.sent) continue;
      // One that does not go holds none of the others.
      const sent = await sendOne(photo).catch(() => null);
      if (sent === null) later = true;
      else await db.put('photos', { ...photo, sent });
      listeners.forEach((tell) => tell());
    }
    const refused = (await db.getAll('photos')).filter((photo) => photo.sent === 2).length;
    setLine({ photosRefused: refused });
  } catch {
    later = true;
  } finally {
    sending = false;
    if (later) setTimeout(() => void sendPhotos(), RETRY_MS);
  }
}

/** 1 once the server has it, 2 where it says no for good, null where it may yet take it: its job may not have arrived. */
async function sendOne({ id, jobId, blob }: { id: string; jobId: string; blob: Blob }): Promise<1 | 2 | null> {
  const response = await fetch(`/api/jobs/${encodeURIComponent(jobId)}/photos/${id}`, {
    method: 'PUT',
    body: blob,
    headers: { 'Content-Type': 'image/jpeg' },
  });
  if (response.ok) return 1;
  return response.status === 400 || response.status === 413 || response.status === 415 ? 2 : null;
}

/** Where a photo is to be seen: on this device while it has it, else on the server. */
export async function photoUrl(jobId: string, id: string): Promise<string> {
  const kept = await (await storeOrNone())?.get('photos', id);
  return kept ? URL.createObjectURL(kept.blob) : `/api/jobs/${encodeURIComponent(jobId)}/photos/${id}`;
}
