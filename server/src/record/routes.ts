import { Router } from 'express';
import { InputError, recordOf, unitSystems, type JobRecord, type Standing, type UnitSystem } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { notFound } from '../http/problem.ts';
import { exportJob } from '../jobs/file.ts';
import { standingHere } from '../sealing/seals.ts';
import { csvOf, csvTables, type CsvName } from './csv.ts';
import { recordPdf, type Reader } from './pdf.ts';
import type { Picture } from './photosOf.ts';
import { zipJob } from './zip.ts';

/** The record of a job, to keep and to hand over: PDF, tables as CSV, all of it as one zip. */
export function recordRoutes(db: Database): Router {
  const routes = Router({ mergeParams: true });

  const record = async (jobId: string, units: UnitSystem): Promise<JobRecord> => {
    const made = recordOf(await exportJob(db, jobId), units);
    if (!made) throw notFound('job');
    return made;
  };
  const standing = async (jobId: string): Promise<Standing> => {
    const found = await standingHere(db, jobId);
    if (!found) throw notFound('job');
    return found;
  };
  const pictures = async (jobId: string): Promise<Picture[]> => {
    const rows = await db.models.Photo.findAll({ where: { jobId }, order: [['id', 'ASC']] });
    return rows.map(({ id, type, bytes }) => ({ id, type, bytes }));
  };

  routes.get('/standing', async (request, response) => {
    response.json(await standing((request.params as { id: string }).id));
  });

  routes.get('/record.pdf', async (request, response) => {
    const { id } = request.params as { id: string };
    const units = unitsOf(request.query.units);
    const reader: Reader = request.query.for === 'owner' ? 'owner' : 'shop';
    const made = await record(id, units);
    const bytes = await recordPdf(made, {
      units,
      reader,
      pictures: await pictures(id),
      standing: await standing(id),
    });
    const name = `job-${made.file.job.number}${reader === 'owner' ? '-owner' : ''}.pdf`;
    response.type('application/pdf').attachment(name).send(bytes);
  });

  routes.get('/tables/:name', async (request, response) => {
    const { id, name } = request.params as { id: string; name: string };
    const table = name.replace(/\.csv$/, '');
    if (!Object.hasOwn(csvTables, table))
      throw new InputError('table', name.slice(0, 40), `one of ${Object.keys(csvTables).join(', ')}`);
    const units = unitsOf(request.query.units);
    const made = await record(id, units);
    const text = csvOf(csvTables[table as CsvName](made, { units }));
    response.type('text/csv').attachment(`job-${made.file.job.number}-${table}.csv`).send(text);
  });

  routes.get('/file.zip', async (request, response) => {
    const { id } = request.params as { id: string };
    const units = unitsOf(request.query.units);
    const made = await record(id, units);
    const all = await pictures(id);
    const pdf = await recordPdf(made, {
      units,
      reader: 'shop',
      pictures: all,
      standing: await standing(id),
    });
    const tables = Object.entries(csvTables).map(([name, table]) => ({
      name: `tables/${name}.csv`,
      bytes: Buffer.from(csvOf(table(made, { units }))),
    }));
    const bytes = await zipJob(made.file, all, [{ name: 'record.pdf', bytes: pdf }, ...tables]);
    response.type('application/zip').attachment(`job-${made.file.job.number}.zip`).send(Buffer.from(bytes));
  });
  return routes;
}

/** Units that were asked for; metric where nobody did. @throws InputError for units nobody knows */
function unitsOf(asked: unknown): UnitSystem {
  if (asked === undefined) return 'metric';
  const found = unitSystems.find((one) => one === asked);
  if (!found) throw new InputError('units', String(asked).slice(0, 20), `one of ${unitSystems.join(', ')}`);
  return found;
}
