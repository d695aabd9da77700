import { v4 as uuid } from 'uuid';

const KEY = 'cradle-device';

/** Where a browser keeps nothing it holds as long as the page. */
const inMemory = new Map<string, string>();

/** What is kept under a name, made once where there is nothing yet. */
function kept(shelf: 'localStorage' | 'sessionStorage'): string {
  try {
    const found = globalThis[shelf].getItem(KEY);
    if (found) return found;
    const made = inMemory.get(shelf) ?? uuid();
    inMemory.set(shelf, made);
    globalThis[shelf].setItem(KEY, made);
    return made;
  } catch {
    const made = inMemory.get(shelf) ?? uuid();
    inMemory.set(shelf, made);
    return made;
  }
}

/** The id of this device, made once; tag numbers are given out by device. */
export const deviceId = (): string => kept('localStorage');

/** Works without a secure context, unlike the browser's own. */
export const newId = (): string => uuid();

/** The id of this tab; a reload keeps it. */
export const tabId = (): string => kept('sessionStorage');
