import type { Database } from '../db/connect.ts';

/** Said at each start for so long after a copy was put back, ms: a week. */
const SAID = 7 * 24 * 3_600_000;

/** A start that finds a copy put back says so: tablets may hold more than it. @param tell where */
export async function sayIfRestored(db: Database, tell: (text: string) => void, now = Date.now()): Promise<void> {
  const row = await db.models.Setting.findByPk('restored');
  if (!row) return;
  const { at, made } = JSON.parse(row.value) as { at: string; made: string };
  if (now - Date.parse(at) < SAID)
    tell(`This shop was put back on ${at} from a copy of ${made}. What tablets hold beyond it is listed on them.`);
}
