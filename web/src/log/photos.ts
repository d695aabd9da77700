import { ApiProblem } from '../net/api.ts';
import { store } from './db.ts';
import { newId } from './device.ts';

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

/** Keeps a photo on the device first, then sends it once the server is there. @returns its id, for the log */
export async function keepPhoto(jobId: string, file: Blob): Promise<string> {
  const id = newId();
  await (await store()).put('photos', { id, jobId, blob: await shrink(file), sent: 0 });
  listeners.forEach((tell) => tell());
  void sendPhotos();
  return id;
}

let sending = false;

/** Sends what has not arrived yet, again and again until it has. */
export async function sendPhotos(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    const db = await store();
    for (const photo of await db.getAll('photos')) {
      if (photo.sent) continue;
      const response = await fetch(`/api/jobs/${encodeURIComponent(photo.jobId)}/photos/${photo.id}`, {
        method: 'PUT',
        body: photo.blob,
        headers: { 'Content-Type': 'image/jpeg' },
      });
      // The job may not have arrived yet; anything else the server says no to will not get better.
      if (!response.ok && response.status !== 400 && response.status !== 413)
        throw new ApiProblem(response.status, 'not now', { detail: '' });
      await db.put('photos', { ...photo, sent: 1 });
      listeners.forEach((tell) => tell());
    }
  } catch {
    setTimeout(() => void sendPhotos(), RETRY_MS);
  } finally {
    sending = false;
  }
}

/** Where a photo is to be seen: on this device while it has it, else on the server. */
export async function photoUrl(jobId: string, id: string): Promise<string> {
  const kept = await (await store()).get('photos', id);
  return kept ? URL.createObjectURL(kept.blob) : `/api/jobs/${encodeURIComponent(jobId)}/photos/${id}`;
}
