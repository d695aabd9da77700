import type { VehicleFile } from '@iron-cradle/core';
import { inTransaction, type Database } from '../db/connect.ts';

/** Keeps a file as a new version; nothing of what was there is lost. The same document again is no new version. */
export function keepVersion(db: Database, file: VehicleFile, by: string): Promise<VehicleFile> {
  const { Vehicle, VehicleVersion } = db.models;
  const document = JSON.stringify(file);
  return inTransaction(db, async (transaction) => {
    const row = await Vehicle.findByPk(file.id, { transaction, lock: transaction.LOCK.UPDATE });
    if (row?.document === document) return file;
    let version = Number(await VehicleVersion.max('version', { where: { vehicleId: file.id }, transaction })) || 0;
    const add = (text: string, who: string) =>
      VehicleVersion.create(
        { vehicleId: file.id, version: (version += 1), at: new Date(), by: who, document: text },
        { transaction },
      );
    // A file that was there before versions were kept is its own first one.
    if (row && version === 0) await add(row.document, 'shop');
    await add(document, by);
    await Vehicle.upsert({ id: file.id, name: file.name, mounting: file.mounting, document }, { transaction });
    return file;
  });
}
