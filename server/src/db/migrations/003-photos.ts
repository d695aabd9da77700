import { DataTypes, type QueryInterface } from 'sequelize';

/** Photos of jobs, in the database like everything else, so that one backup has all. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('photos', {
    id: { type: DataTypes.STRING(60), primaryKey: true },
    job_id: { type: DataTypes.STRING(60), allowNull: false, references: { model: 'jobs', key: 'id' } },
    type: { type: DataTypes.STRING(40), allowNull: false },
    bytes: { type: DataTypes.BLOB('long'), allowNull: false },
  });
}
