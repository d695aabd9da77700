import { DataTypes, type QueryInterface } from 'sequelize';

/** Keys that logs are sealed with, the seals, and how much of a job was brought in from elsewhere. */
export async function up(q: QueryInterface): Promise<void> {
  if (!('brought_in' in (await q.describeTable('jobs'))))
    await q.addColumn('jobs', 'brought_in', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 });
  await q.createTable('seal_keys', {
    fingerprint: { type: DataTypes.STRING(64), primaryKey: true },
    public_key: { type: DataTypes.STRING(200), allowNull: false },
    own: { type: DataTypes.BOOLEAN, allowNull: false },
    // The shop it was compared with, and who did; nobody yet where they are empty.
    shop: { type: DataTypes.STRING(80), allowNull: true },
    since: { type: DataTypes.DATE(3), allowNull: false },
    compared_by: { type: DataTypes.STRING(60), allowNull: true },
  });
  await q.createTable('seals', {
    job_id: { type: DataTypes.STRING(60), primaryKey: true },
    seq: { type: DataTypes.INTEGER, primaryKey: true },
    key: { type: DataTypes.STRING(64), primaryKey: true },
    hash: { type: DataTypes.STRING(64), allowNull: false },
    at: { type: DataTypes.STRING(40), allowNull: false },
    signature: { type: DataTypes.STRING(200), allowNull: false },
  });
}
