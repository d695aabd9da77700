import type { Person } from './browser.ts';

/**
 * Cuts a person off from the server, and lets them back. Blocked, not intercepted: what is asked for while an interception is being
 * set up hangs for ever.
 */
export async function cutOff(person: Person): Promise<() => Promise<void>> {
  await hasNumbers(person);
  const session = await person.page.createCDPSession();
  await session.send('Network.enable');
  await session.send('Network.setBlockedURLs', { urls: ['*/api/*'] });
  return async () => {
    await session.send('Network.setBlockedURLs', { urls: [] });
    await session.detach();
  };
}

/** Until this device has its block of numbers for the job it shows: without one, what goes in asks what was painted on it. */
const hasNumbers = (person: Person) =>
  person.page.waitForFunction(
    () =>
      new Promise<boolean>((resolve) => {
        const open = indexedDB.open('cradle-1');
        open.onerror = () => resolve(false);
        open.onsuccess = () => {
          const book = open.result
            .transaction('tags')
            .objectStore('tags')
            .get(location.pathname.split('/')[2] ?? '');
          book.onerror = () => resolve(false);
          book.onsuccess = () => {
            open.result.close();
            const { block = null } = (book.result ?? {}) as { block?: number | null };
            resolve(block !== null);
          };
        };
      }),
    { polling: 200 },
  );
