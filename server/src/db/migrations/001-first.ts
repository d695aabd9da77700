import { DataTypes, type QueryInterface } from 'sequelize';

const text = DataTypes.TEXT('long');
const key = (length: number) => DataTypes.STRING(length);

export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('settings', {
    name: { type: key(60), primaryKey: true },
    value: { type: text, allowNull: false },
  });
  await q.createTable('people', {
    id: { type: key(60), primaryKey: true },
    name: { type: key(80), allowNull: false },
    role: { type: key(20), allowNull: false },
    pin_hash: { type: key(200), allowNull: true },
    failed: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 },
    locked_until: { type: DataTypes.DATE(3), allowNull: true },
  });
  await q.createTable('vehicles', {
    id: { type: key(60), primaryKey: true },
    name: { type: key(80), allowNull: false },
    mounting: { type: key(20), allowNull: false },
    document: { type: text, allowNull: false },
  });
  await q.createTable('jobs', {
    id: { type: key(60), primaryKey: true },
    number: { type: DataTypes.INTEGER, allowNull: false, unique: true },
    last_seq: { type: DataTypes.INTEGER, allowNull: false },
    last_hash: { type: key(64), allowNull: false },
    summary: { type: text, allowNull: false },
    touched: { type: DataTypes.DATE(3), allowNull: false },
  });
  await q.createTable('entries', {
    id: { type: key(60), primaryKey: true },
    job_id: { type: key(60), allowNull: false, references: { model: 'jobs', key: 'id' } },
    seq: { type: DataTypes.INTEGER, allowNull: false },
    at: { type: key(40), allowNull: false },
    by: { type: key(60), allowNull: false },
    kind: { type: key(30), allowNull: false },
    // As hashed, to the letter.
    body: { type: text, allowNull: false },
    hash: { type: key(64), allowNull: false },
  });
  await q.addIndex('entries', ['job_id', 'seq'], { unique: true });
  await q.createTable('tag_blocks', {
    job_id: { type: key(60), primaryKey: true },
    device: { type: key(60), primaryKey: true },
    block: { type: DataTypes.INTEGER, allowNull: false },
  });
  await q.addIndex('tag_blocks', ['job_id', 'block'], { unique: true });
  await q.createTable('approvals', {
    id: { type: key(60), primaryKey: true },
    job_id: { type: key(60), allowNull: false },
    lead: { type: key(60), allowNull: false },
    gate: { type: DataTypes.INTEGER, allowNull: false },
    item: { type: key(40), allowNull: false },
    given: { type: DataTypes.DATE(3), allowNull: false },
  });
}
