import { DataTypes, type QueryInterface } from 'sequelize';

/** A row for the bays says up to which entry it was reckoned. */
export async function up(q: QueryInterface): Promise<void> {
  if ('summary_seq' in (await q.describeTable('jobs'))) return;
  await q.addColumn('jobs', 'summary_seq', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 });
}
