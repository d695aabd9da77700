import { Router } from 'express';
import { archetypes, checkVehicle, InputError, vehicleSchema, type VehicleFile } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { bySchema } from '../http/bySchema.ts';
import { notFound } from '../http/problem.ts';
import { keepVersion } from './versions.ts';

const bySchemaOfVehicles = bySchema<VehicleFile>(vehicleSchema, 'vehicle');

/** Checks a file against the published schema and then for sense. @throws InputError with the path of what is wrong */
export function readVehicle(document: unknown): VehicleFile {
  const file = bySchemaOfVehicles(document);
  checkVehicle(file);
  return file;
}

/** Vehicle files: the shop's own and the archetypes. */
export function vehicleRoutes(db: Database): Router {
  const routes = Router();

  routes.get('/vehicles', async (_request, response) => {
    const rows = await db.models.Vehicle.findAll({ order: [['name', 'ASC']] });
    response.json([...rows.map((row) => JSON.parse(row.document) as VehicleFile), ...archetypes]);
  });

  routes.get('/vehicles/schema', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(vehicleSchema));
  });

  routes.get('/vehicles/:id', async (request, response) => {
    const row = await db.models.Vehicle.findByPk(request.params.id);
    const file = row ? (JSON.parse(row.document) as VehicleFile) : archetypes.find((a) => a.id === request.params.id);
    if (!file) throw notFound('vehicle');
    response.json(file);
  });

  routes.get('/vehicles/:id/versions', async (request, response) => {
    const rows = await db.models.VehicleVersion.findAll({
      where: { vehicleId: request.params.id },
      order: [['version', 'DESC']],
    });
    response.json(rows.map(({ version, at, by }) => ({ version, at, by })));
  });

  routes.get('/vehicles/:id/versions/:version', async (request, response) => {
    const { id, version } = request.params;
    const row = await db.models.VehicleVersion.findOne({ where: { vehicleId: id, version: Number(version) || 0 } });
    if (!row) throw notFound('version');
    response.json(JSON.parse(row.document));
  });

  routes.put('/vehicles/:id', async (request, response) => {
    const by = request.session.personId!;
    const file = readVehicle(request.body);
    if (file.id !== request.params.id) throw new InputError('id', file.id, request.params.id);
    if (archetypes.some((a) => a.id === file.id)) throw new InputError('id', file.id, 'an id that is no archetype’s');
    response.json(await keepVersion(db, file, by));
  });
  return routes;
}
