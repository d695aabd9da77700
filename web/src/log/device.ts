import { v4 as uuid } from 'uuid';

const KEY = 'cradle-device';

/** The id of this device, made once; tag numbers are given out by device. */
export function deviceId(): string {
  let id = localStorage.getItem(KEY);
  if (!id) {
    id = uuid();
    localStorage.setItem(KEY, id);
  }
  return id;
}

/** Works without a secure context, unlike the browser's own. */
export const newId = (): string => uuid();

/** The id of this tab; a reload keeps it. */
export function tabId(): string {
  let id = sessionStorage.getItem(KEY);
  if (!id) {
    id = uuid();
    sessionStorage.setItem(KEY, id);
  }
  return id;
}
