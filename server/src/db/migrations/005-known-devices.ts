import { DataTypes, type QueryInterface } from 'sequelize';

/** Devices on which somebody signed in: they are shown who works here. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('known_devices', {
    // Of the secret only the hash is kept.
    hash: { type: DataTypes.STRING(64), primaryKey: true },
    device: { type: DataTypes.STRING(60), allowNull: false },
    made: { type: DataTypes.DATE(3), allowNull: false },
  });
}
