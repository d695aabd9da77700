import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';

/** Adds a column where it is not there yet: a start may have been cut off between any two. */
async function column(q: QueryInterface, table: string, [name, is]: [string, { type: string; allowNull: boolean }]) {
  if (!(name in (await q.describeTable(table)))) await q.addColumn(table, name, is);
}

/** An index where it is not there yet. */
async function index(q: QueryInterface, table: string, fields: string[]) {
  const name = `${table}_${fields.join('_')}`;
  const there = (await q.showIndex(table)) as { name: string }[];
  if (!there.some((one) => one.name === name)) await q.addIndex(table, fields, { name });
}

/** Devices by the token each sign-in leaves there; approvals that were used; clocks that are off; the next job's number. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('device_tokens', {
    // Of the token itself only the hash is kept.
    hash: { type: DataTypes.STRING(64), primaryKey: true },
    person_id: { type: DataTypes.STRING(60), allowNull: false },
    device: { type: DataTypes.STRING(60), allowNull: false },
    made: { type: DataTypes.DATE(3), allowNull: false },
    used: { type: DataTypes.DATE(3), allowNull: false },
    ended: { type: DataTypes.DATE(3), allowNull: true },
  });
  await column(q, 'approvals', ['used_by', { type: 'VARCHAR(60)', allowNull: true }]);
  await column(q, 'entries', ['behind', { type: 'INTEGER', allowNull: true }]);
  await index(q, 'device_tokens', ['person_id']);
  // The bays ask for open jobs and for what changed last, however many there were in the years before.
  await index(q, 'jobs', ['signed', 'number']);
  await index(q, 'jobs', ['touched']);
  await q.createTable('counters', {
    name: { type: DataTypes.STRING(60), primaryKey: true },
    value: { type: DataTypes.INTEGER, allowNull: false },
  });
  await q.sequelize.query(
    "INSERT IGNORE INTO counters (name, value) SELECT 'job', COALESCE(MAX(number), 0) FROM jobs",
    { type: QueryTypes.INSERT },
  );
}
