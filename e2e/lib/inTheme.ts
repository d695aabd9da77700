import type { Person } from './browser.ts';

/** Somebody opens a page in this theme and reads what stands on it. @example await inTheme(ines, 'night')('/', 'Next vehicle') */
export const inTheme =
  (person: Person, theme: 'day' | 'night') =>
  async (path: string, sees: string): Promise<void> => {
    await person.page.evaluate((t) => localStorage.setItem('cradle-theme', t), theme);
    await person.go(path);
    await person.sees(sees);
  };
