import { DataTypes, type QueryInterface } from 'sequelize';

/** Every version of a vehicle file that was ever kept. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('vehicle_versions', {
    vehicle_id: { type: DataTypes.STRING(60), primaryKey: true },
    version: { type: DataTypes.INTEGER, primaryKey: true },
    at: { type: DataTypes.DATE(3), allowNull: false },
    by: { type: DataTypes.STRING(60), allowNull: false },
    document: { type: DataTypes.TEXT('long'), allowNull: false },
  });
}
