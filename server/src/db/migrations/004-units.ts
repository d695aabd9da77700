import { DataTypes, type QueryInterface } from 'sequelize';

/** Lengths are read in each person's own units. */
export async function up(q: QueryInterface): Promise<void> {
  await q.addColumn('people', 'units', { type: DataTypes.STRING(10), allowNull: false, defaultValue: 'metric' });
}
