import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';

/** Longer than this it is not kept: the browser gives a tab about five million characters. */
const MOST = 1_000_000;

const shelf = (name: string): string => `running:${name}`;

function read<T>(name: string, start: T): T {
  try {
    const had = sessionStorage.getItem(shelf(name));
    return had === null ? start : (JSON.parse(had) as T);
  } catch {
    return start;
  }
}

/**
 * What runs on a screen and is no entry yet: readings of a hold, passes of a sweep. A reload of this tab does not lose it; the tab closed,
 * or the person signed out, it is gone.
 *
 * @example const [passes, setPasses] = useKept(`${jobId} sweep`, [])
 */
export function useKept<T>(name: string, start: T): [T, Dispatch<SetStateAction<T>>] {
  const [value, setValue] = useState<T>(() => read(name, start));
  // Compared as text: what is empty again is taken off the shelf.
  const [empty] = useState(() => JSON.stringify(start));
  useEffect(() => {
    const text = JSON.stringify(value);
    try {
      if (text === empty || text.length > MOST) sessionStorage.removeItem(shelf(name));
      else sessionStorage.setItem(shelf(name), text);
    } catch {
      // A full or forbidden shelf: it stands on the screen all the same.
    }
  }, [name, value, empty]);
  return [value, setValue];
}

/** Takes everything off the shelf: somebody else works here now. */
export function forgetRunning(): void {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(shelf(''))) sessionStorage.removeItem(key);
}
