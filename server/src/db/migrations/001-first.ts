import { DataTypes, type QueryInterface } from 'sequelize';

const text = DataTypes.TEXT('long');
const word = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const key = () => ({ type: DataTypes.STRING(60), primaryKey: true });
const number = () => ({ type: DataTypes.INTEGER, allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });

/** One of its kind, said with the table: an index made afterwards would stand in the way of a start that goes on half-way. */
const unique = (table: string, fields: string[]) => ({ uniqueKeys: { [`${table}_${fields.join('_')}`]: { fields } } });

/** Every table there is. Each is made where it is not there yet: a start may have been cut off between any two. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('settings', { name: key(), value: { type: text, allowNull: false } });
  await q.createTable('people', {
    id: key(),
    name: word(80),
    role: word(20),
    pin_hash: { type: DataTypes.STRING(200), allowNull: true },
    // Lengths are read in each person's own units.
    units: { ...word(10), defaultValue: 'metric' },
    failed: { ...number(), defaultValue: 0 },
    locked_until: { type: DataTypes.DATE(3), allowNull: true },
  });
  await q.createTable('vehicles', {
    id: key(),
    name: word(80),
    mounting: word(20),
    document: { type: text, allowNull: false },
  });
  await q.createTable('vehicle_versions', {
    vehicle_id: key(),
    version: { type: DataTypes.INTEGER, primaryKey: true },
    at: moment(),
    by: word(60),
    document: { type: text, allowNull: false },
  });
  await q.createTable('jobs', {
    id: key(),
    number: { ...number(), unique: true },
    last_seq: number(),
    last_hash: word(64),
    signed: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    summary: { type: text, allowNull: false },
    touched: moment(),
  });
  const ofJob = () => ({ ...word(60), references: { model: 'jobs', key: 'id' } });
  await q.createTable(
    'entries',
    {
      id: key(),
      job_id: ofJob(),
      seq: number(),
      version: number(),
      kind: word(30),
      // As hashed, to the letter.
      body: { type: text, allowNull: false },
      by: word(60),
      device: word(60),
      n: number(),
      at: word(40),
      on_id: { type: DataTypes.STRING(60), allowNull: true },
      said: { type: DataTypes.STRING(200), allowNull: true },
      decided: { type: text, allowNull: true },
      received: word(40),
      hash: word(64),
    },
    unique('entries', ['job_id', 'seq']),
  );
  // What was refused keeps its answer: the same id always gets the same.
  await q.createTable('refusals', { id: key(), job_id: word(60), refusal: { type: text, allowNull: false } });
  // The state of a job as it was folded by one build: thrown away by another.
  await q.createTable('job_states', {
    job_id: key(),
    seq: number(),
    hash: word(64),
    build: word(64),
    state: { type: text, allowNull: false },
  });
  await q.createTable(
    'tag_blocks',
    { job_id: key(), device: key(), block: number() },
    unique('tag_blocks', ['job_id', 'block']),
  );
  // Numbers the server gave out for what no file lists.
  await q.createTable('tag_numbers', {
    job_id: key(),
    number: { type: DataTypes.INTEGER, primaryKey: true },
    given_for: word(60),
  });
  await q.createTable('photos', {
    id: key(),
    job_id: ofJob(),
    type: word(40),
    bytes: { type: DataTypes.BLOB('long'), allowNull: false },
  });
  await q.createTable('approvals', {
    id: key(),
    job_id: word(60),
    lead: word(60),
    gate: number(),
    item: word(40),
    given: moment(),
  });
}
