import type { Request, Response } from 'express';
import { QueryTypes } from 'sequelize';
import type { Database } from '../db/connect.ts';
import { Problem } from '../http/problem.ts';
import { stands, type SignedIn } from './session.ts';

/** How often it is looked whether the sign-ins of open streams still stand, ms. */
const LOOKED = 10_000;
/** So many streams at once are a person’s pages; more are a mistake. Common practice, no source. */
const MOST_OPEN = 24;

/** What stays open: counted by its sign-in, and ended with it. However many there are, one look sees to all. */
export class Streams {
  private open = new Map<string, Set<Response>>();
  private looks: NodeJS.Timeout | null = null;

  constructor(private db: Database) {}

  /** Takes a stream among those of its sign-in. @throws Problem 429 where it has too many */
  add({ sessionID, request, response }: { sessionID: string; request: Request; response: Response }): void {
    const own = this.open.get(sessionID) ?? new Set();
    if (own.size >= MOST_OPEN)
      throw new Problem(429, 'Too many pages', { detail: 'Too many pages are open on this device. Close some.' });
    this.open.set(sessionID, own.add(response));
    this.looks ??= setInterval(() => void this.look().catch(() => undefined), LOOKED);
    request.on('close', () => {
      own.delete(response);
      if (own.size === 0 && this.open.get(sessionID) === own) this.open.delete(sessionID);
      if (this.open.size > 0 || !this.looks) return;
      clearInterval(this.looks);
      this.looks = null;
    });
  }

  /** Ends the streams of whoever may not go on. The database away for a moment: looked again. */
  private async look(): Promise<void> {
    const { models, sequelize } = this.db;
    const sids = [...this.open.keys()];
    const rows = await sequelize.query<{ sid: string; data: string }>(
      'SELECT sid, data FROM sessions WHERE sid IN (?) AND expires > NOW()',
      { type: QueryTypes.SELECT, replacements: [sids] },
    );
    const sessions = new Map(rows.map(({ sid, data }) => [sid, JSON.parse(data) as SignedIn]));
    const all = [...sessions.values()];
    const people = await models.Person.findAll({
      where: { id: [...new Set(all.flatMap(({ personId }) => personId ?? []))] },
      attributes: ['id', 'pinHash'],
    });
    const tokens = await models.DeviceToken.findAll({
      where: { hash: [...new Set(all.flatMap(({ token }) => token ?? []))] },
      attributes: ['hash', 'ended'],
    });
    for (const sid of sids) {
      const session = sessions.get(sid);
      const still =
        session &&
        stands(session, {
          person: people.find(({ id }) => id === session.personId),
          token: tokens.find(({ hash }) => hash === session.token),
        });
      if (!still) for (const response of this.open.get(sid) ?? []) response.end();
    }
  }
}
