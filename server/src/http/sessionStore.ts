import connectSessionSequelize from 'connect-session-sequelize';
import session from 'express-session';
import type { Sequelize } from 'sequelize';

const DAY = 24 * 3_600_000;
/** A session lasts so long after it was last used, ms. */
export const LASTS = 30 * DAY;
/** That it is used is noted so often, ms: not with every request. */
const NOTED = DAY / 24;
/** So many sessions are remembered as noted; beyond it they are noted once more. */
const REMEMBERED = 10_000;

/** Sessions in the database; each request only reads them. */
export async function sessionStore(sequelize: Sequelize) {
  const Store = connectSessionSequelize(session.Store);
  const store = new Store({
    db: sequelize,
    tableName: 'sessions',
    checkExpirationInterval: 15 * 60_000,
    expiration: LASTS,
  });
  await store.sync();
  const noted = new Map<string, number>();
  const touch = store.touch.bind(store);
  store.touch = (sid, data, done) => {
    const now = Date.now();
    if (now - (noted.get(sid) ?? 0) < NOTED) return void done?.(null);
    if (noted.size >= REMEMBERED) noted.clear();
    noted.set(sid, now);
    return touch(sid, data, done);
  };
  return store;
}
