import compression from 'compression';
import express, { type Express, type Router } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { newSecret } from './config.ts';
import type { Database } from './db/connect.ts';
import { demoPins } from './demo/people.ts';
import { shallow } from './http/depth.ts';
import { ownDoors } from './http/doors.ts';
import { rememberWho, securityLog } from './http/securityLog.ts';
import { filesIn, guesses, RATES, type Rates } from './http/rates.ts';
import { LASTS, sessionStore } from './http/sessionStore.ts';
import { noSuchRoute, problems } from './http/problem.ts';
import { Bell } from './jobs/bell.ts';
import { instrumentRoutes } from './instruments/routes.ts';
import { sourceRoutes } from './instruments/sourceRoutes.ts';
import { IMPORT, jobRoutes } from './jobs/routes.ts';
import type { Shelves } from './jobs/shelves.ts';
import { doorRoutes } from './people/doors.ts';
import { onlyPermitted } from './people/may.ts';
import { onlyWhoMay } from './people/session.ts';
import { Streams } from './people/streams.ts';
import { peopleRoutes } from './people/routes.ts';
import { keyRoutes } from './sealing/routes.ts';
import { shopRoutes } from './shop/routes.ts';
import { vehicleRoutes } from './vehicles/routes.ts';

/** What an application is put together from. */
export interface AppOptions {
  /** Folder of the built web; null where it is served from elsewhere. */
  webRoot: string | null;
  /** Does it hold the demo shop, whose PINs are shown? */
  demo: boolean;
  /** Where it writes what it does; nowhere without one. */
  logger?: Logger;
  /** Names under which it is reached besides this machine's own. */
  names?: () => readonly string[];
  /** Where what concerns the doors is written down; nowhere without one. */
  securityLog?: Logger;
  /** How often one address may guess, and bring files in. */
  rates?: Rates;
  /** Pages outside the application, before it: how a phone is paired. */
  before?: Router;
}

/** The secret that signs session cookies lives in the database: every server process before it must know the same one. */
async function sessionSecret(db: Database): Promise<string> {
  const [row] = await db.models.Setting.findOrCreate({
    where: { name: 'sessionSecret' },
    defaults: { name: 'sessionSecret', value: newSecret() },
  });
  return row.value;
}

/** The whole application over one database; nothing is kept in the process that a second process could not share. */
export async function makeApp(shelves: Shelves, options: AppOptions): Promise<Express> {
  const { db } = shelves;
  const logger = options.logger ?? pino({ level: 'silent' });
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          // Style elements are written at run time by the dialog primitives; they carry no script.
          styleSrc: ["'self'", "'unsafe-inline'"],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          manifestSrc: ["'self'"],
          workerSrc: ["'self'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // The shop's network is plain http unless somebody set up a certificate.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(
    compression({
      filter: (request, response) => !/\/(events|stream)$/.test(request.path) && compression.filter(request, response),
    }),
  );
  app.use(
    pinoHttp({
      logger,
      redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api') },
    }),
  );

  app.use(ownDoors(options.names ?? (() => [])));
  if (options.before) app.use(options.before);
  const store = await sessionStore(db.sequelize);
  const api = express.Router();
  const json = express.json({ limit: '8mb', verify: shallow });
  api.use(
    session({
      store,
      secret: await sessionSecret(db),
      name: 'cradle',
      resave: false,
      saveUninitialized: false,
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: LASTS },
    }),
  );
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  if (options.securityLog) api.use(securityLog(options.securityLog));
  api.use(onlyWhoMay(db));
  api.use(rememberWho);
  const rates = options.rates ?? RATES;
  api.post(['/session', '/session/unlock', '/approvals'], guesses(rates));
  api.put('/people/:id/pin', guesses(rates));
  api.post(IMPORT, filesIn(rates));
  api.use(onlyPermitted(db));
  // Nothing is read of whoever may not; a job file, with its photos, by its own route.
  api.use((request, response, next) => (request.path === IMPORT ? next() : json(request, response, next)));
  const streams = new Streams(db);
  const bell = new Bell(db);
  await shelves.summaries.catchUp();
  api.get('/health', (_request, response) => void response.json({ ok: true }));
  api.use(peopleRoutes(db));
  api.use(doorRoutes(db));
  api.use(keyRoutes(db));
  api.use(shopRoutes(shelves, { demoPins: options.demo ? demoPins : null, bell }));
  api.use(vehicleRoutes(db));
  api.use('/sources', sourceRoutes(db));
  api.use('/jobs/:id/instruments', instrumentRoutes(shelves, { simulated: options.demo, streams }));
  api.use('/jobs', jobRoutes(shelves, { bell, streams }));
  api.use(noSuchRoute);
  app.use('/api', api);

  if (options.webRoot && existsSync(join(options.webRoot, 'index.html'))) {
    const index = join(options.webRoot, 'index.html');
    app.use(
      express.static(options.webRoot, {
        index: false,
        setHeaders: (response, path) =>
          response.set(
            'Cache-Control',
            /[\\/]assets[\\/]/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
          ),
      }),
    );
    app.get(/^\/(?!api\/|assets\/).*/, (_request, response) =>
      response.set('Cache-Control', 'no-cache').sendFile(index),
    );
  }
  app.use(noSuchRoute);
  app.use(problems);
  return app;
}
