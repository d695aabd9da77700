import { setLine } from '../log/line.ts';
import { keepStorage } from '../log/persist.ts';
import { jest } from '@jest/globals';
import { forgetVersion, keepApplication, takeOver } from './newVersion.ts';

const laidBy = () => {
  const said: unknown[] = [];
  forgetVersion({ waiting: { postMessage: (text: unknown) => void said.push(text) } } as never);
  return said;
};
const others = new BroadcastChannel('cradle-version');
beforeEach(() => setLine({ waiting: 0 }));
afterEach(() => (others.onmessage = null));
afterAll(() => others.close());

test('a newer version is taken over between jobs, once', async () => {
  const said = laidBy();
  await takeOver();
  await takeOver();
  expect(said).toEqual([{ type: 'SKIP_WAITING' }]);
});

test('not while something is on its way, nor while another tab is in a job; then it is', async () => {
  const said = laidBy();
  setLine({ waiting: 2 });
  await takeOver();
  expect(said).toEqual([]);
  setLine({ waiting: 0 });
  others.onmessage = ({ data }) => data === 'may it change?' && others.postMessage('not now');
  await takeOver();
  expect(said).toEqual([]);
  others.onmessage = null;
  await takeOver();
  expect(said).toHaveLength(1);
});

test('nothing laid by, nothing happens', async () => {
  for (const registration of [{ waiting: null } as never, null]) {
    forgetVersion(registration);
    await expect(takeOver()).resolves.toBeUndefined();
  }
});

test('a first one that could not be laid by is begun again until it is; then it is left in peace', async () => {
  jest.useFakeTimers();
  const installing = Object.assign(new EventTarget(), { state: 'installing' });
  const failed = () => Promise.reject(new TypeError('a file did not come'));
  const answers = [failed, () => Promise.resolve({ installing, active: null }), () => Promise.resolve({ active: {} })];
  let asked = 0;
  void keepApplication({ register: () => answers[asked++]!(), addEventListener: () => undefined } as never);
  const pass = async () => {
    await jest.advanceTimersByTimeAsync(16_000);
    return asked;
  };
  expect(await pass()).toBe(2);
  installing.state = 'redundant';
  installing.dispatchEvent(new Event('statechange'));
  expect(await pass()).toBe(3);
  expect(await pass()).toBe(3);
  jest.useRealTimers();
});

test('the browser is asked once to keep what is here; where it cannot be asked it is not', async () => {
  let asked = 0;
  const storage = (had: boolean) =>
    ({
      persisted: () => Promise.resolve(had),
      persist: () => Promise.resolve((asked += 1) > 0),
    }) as unknown as StorageManager;
  expect([await keepStorage(storage(true)), asked]).toEqual([true, 0]);
  expect([await keepStorage(storage(false)), asked]).toEqual([true, 1]);
  expect(await keepStorage({} as StorageManager)).toBe(false);
});
