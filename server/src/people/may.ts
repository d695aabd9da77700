import type { RequestHandler } from 'express';
import { match, type MatchFunction } from 'path-to-regexp';
import { Op } from 'sequelize';
import type { Database } from '../db/connect.ts';
import { notFound, Problem, signInFirst } from '../http/problem.ts';
import { mustBeLead } from './lead.ts';
import { isPaired } from './paired.ts';
import { isThisMachine } from './thisMachine.ts';

/**
 * Who may do something: anybody; whoever is at the shop's machine, at a device on which somebody signed in before, or signed in; whoever is signed in; the lead;
 * the lead, or in a shop where nobody works yet whoever is at its machine.
 */
export type Who = 'anybody' | 'known' | 'signedIn' | 'lead' | 'leadOrFirst';

/** One thing that can be asked of the server. */
export interface Permission {
  /** GET, POST, … */
  method: string;
  /** Path under /api, with what varies by its name. */
  path: string;
  /** Who may. */
  who: Who;
  /** What the security log calls it; left out: it is not written there. */
  log?: string;
  /** Goes on while the device asks for the PIN: what runs, and what was entered before and is on its way. */
  whileLocked?: true;
}

const goesOn = (one: Permission): Permission => ({ ...one, whileLocked: true });
const may = (asked: string, who: Who, log?: string): Permission => {
  const [method = '', path = ''] = asked.split(' ');
  return { method, path, who, ...(log === undefined ? {} : { log }) };
};

/** All that can be asked of the server. What does not stand here is not there, whatever routes there are. */
export const permissions: readonly Permission[] = [
  may('GET /health', 'anybody'),
  may('GET /session', 'anybody'),
  may('POST /session', 'anybody', 'signed in'),
  may('DELETE /session', 'anybody', 'signed out'),
  goesOn(may('GET /people', 'known')),
  goesOn(may('GET /shop', 'known')),

  goesOn(may('POST /session/token', 'signedIn')),
  may('PUT /session/units', 'signedIn'),
  may('PUT /session/lock', 'signedIn', 'locked'),
  goesOn(may('POST /session/unlock', 'signedIn', 'unlocked')),
  may('POST /approvals', 'signedIn', 'exception allowed'),
  may('GET /vehicles', 'signedIn'),
  may('GET /vehicles/schema', 'signedIn'),
  may('GET /vehicles/:id', 'signedIn'),
  may('GET /vehicles/:id/versions', 'signedIn'),
  may('GET /vehicles/:id/versions/:version', 'signedIn'),
  may('PUT /vehicles/:id', 'signedIn'),
  may('GET /jobs', 'signedIn'),
  may('GET /jobs/schema', 'signedIn'),
  may('GET /jobs/signed', 'signedIn'),
  goesOn(may('GET /jobs/events', 'signedIn')),
  may('POST /jobs/import', 'signedIn', 'job brought in'),
  goesOn(may('POST /jobs/:id/entries', 'signedIn')),
  may('GET /jobs/:id/entries', 'signedIn'),
  goesOn(may('GET /jobs/:id/events', 'signedIn')),
  may('GET /jobs/:id/chain', 'signedIn'),
  may('GET /jobs/:id/standing', 'signedIn'),
  may('GET /jobs/:id/file', 'signedIn', 'job read whole'),
  may('GET /jobs/:id/file.zip', 'signedIn', 'job taken out'),
  may('GET /jobs/:id/record.pdf', 'signedIn'),
  may('GET /jobs/:id/tables/:name', 'signedIn'),
  goesOn(may('PUT /jobs/:id/photos/:photo', 'signedIn')),
  may('GET /jobs/:id/photos/:photo', 'signedIn'),
  goesOn(may('PUT /jobs/:id/devices/:device', 'signedIn')),
  goesOn(may('PUT /jobs/:id/numbers/:for', 'signedIn')),
  may('GET /jobs/:id/instruments', 'signedIn'),
  may('GET /jobs/:id/instruments/:kind', 'signedIn'),
  goesOn(may('GET /jobs/:id/instruments/:kind/stream', 'signedIn')),
  may('GET /sources', 'signedIn'),
  may('GET /keys', 'signedIn'),
  // One's own, or anybody's for the lead: the route looks whose.
  may('PUT /people/:id/pin', 'signedIn', 'PIN changed'),
  may('GET /people/:id/devices', 'signedIn'),
  may('DELETE /people/:id/devices/:device', 'signedIn', 'device ended'),

  may('POST /people', 'leadOrFirst', 'person added'),
  may('PATCH /people/:id', 'lead', 'person changed'),
  may('DELETE /people/:id', 'lead', 'person taken off'),
  may('DELETE /people/:id/name', 'lead', 'name forgotten'),
  may('PUT /shop', 'lead', 'rules changed'),
  may('POST /sources', 'lead', 'gateway added'),
  may('DELETE /sources/:id', 'lead', 'gateway taken away'),
  may('PUT /keys/:fingerprint', 'lead', 'key compared'),
];

const patterns: readonly (Permission & { fits: MatchFunction<object> })[] = permissions.map((one) => ({
  ...one,
  fits: match(one.path, { decode: false }),
}));

/** What stands of a request among the permissions; the first that fits, so that a name comes before what varies. */
export function permissionOf(method: string, path: string): Permission | undefined {
  const asked = method === 'HEAD' ? 'GET' : method;
  return patterns.find((one) => one.method === asked && one.fits(path));
}

/** Lets through what is permitted, and nothing else. */
export const onlyPermitted =
  (db: Database): RequestHandler =>
  async (request, _response, next) => {
    const permission = permissionOf(request.method, request.path);
    if (!permission) throw notFound('page');
    const { personId, locked } = request.session;
    if (locked && !permission.whileLocked && permission.who !== 'anybody') throw typeThePin();
    switch (permission.who) {
      case 'anybody':
        break;
      case 'known':
        if (!personId && !isThisMachine(request) && !(await isPaired(db, request))) throw notKnown();
        break;
      case 'signedIn':
        if (!personId) throw signInFirst();
        break;
      case 'lead':
        await mustBeLead(db, request);
        break;
      case 'leadOrFirst':
        if (await somebodyWorksHere(db)) await mustBeLead(db, request);
        else if (!isThisMachine(request)) throw onlyHere();
    }
    next();
  };

const somebodyWorksHere = async (db: Database): Promise<boolean> =>
  (await db.models.Person.count({ where: { pinHash: { [Op.ne]: null } } })) > 0;

const notKnown = (): Problem =>
  new Problem(403, 'Nobody signed in on this device yet', {
    detail: 'Nobody has signed in on this device yet: type your name and your PIN.',
  });
const typeThePin = (): Problem =>
  new Problem(423, 'Locked', { detail: 'Nobody was at this device for a while: type your PIN.' });
const onlyHere = (): Problem =>
  new Problem(403, 'Only on the shop’s own machine', {
    detail: 'Nobody works here yet. The first person says who they are on the shop’s own machine, at http://localhost.',
  });
