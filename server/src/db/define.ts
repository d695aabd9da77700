import { DataTypes, type Sequelize } from 'sequelize';
import {
  Approval,
  Counter,
  DeviceToken,
  EntryRow,
  Job,
  JobStateRow,
  JobWord,
  KnownDevice,
  Person,
  Photo,
  RefusalRow,
  SealKey,
  SealRow,
  Setting,
  TagBlock,
  TagNumber,
  Vehicle,
  VehicleVersion,
} from './models.ts';

const text = DataTypes.TEXT('long');
// Made anew for each column: Sequelize writes the column's name into the object it is given.
const word = () => ({ type: DataTypes.STRING, allowNull: false });
const key = () => ({ type: DataTypes.STRING(60), primaryKey: true });
const number = () => ({ type: DataTypes.INTEGER, allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });

/** Binds the models to one connection; several databases can be open in one process. */
export function defineModels(sequelize: Sequelize) {
  // A class of its own for each connection, so that tests and tools can hold two.
  class BoundSetting extends Setting {}
  class BoundPerson extends Person {}
  class BoundVehicle extends Vehicle {}
  class BoundVehicleVersion extends VehicleVersion {}
  class BoundJob extends Job {}
  class BoundEntry extends EntryRow {}
  class BoundRefusal extends RefusalRow {}
  class BoundJobState extends JobStateRow {}
  class BoundTagNumber extends TagNumber {}
  class BoundPhoto extends Photo {}
  class BoundTagBlock extends TagBlock {}
  class BoundApproval extends Approval {}
  class BoundDeviceToken extends DeviceToken {}
  class BoundCounter extends Counter {}
  class BoundJobWord extends JobWord {}
  class BoundKnownDevice extends KnownDevice {}
  class BoundSealKey extends SealKey {}
  class BoundSeal extends SealRow {}
  BoundSetting.init({ name: key(), value: { type: text, allowNull: false } }, { sequelize, tableName: 'settings' });
  BoundPerson.init(
    {
      id: key(),
      name: word(),
      role: word(),
      pinHash: DataTypes.STRING,
      units: { ...word(), defaultValue: 'metric' },
      failed: { ...number(), defaultValue: 0 },
      lockedUntil: DataTypes.DATE(3),
    },
    { sequelize, tableName: 'people' },
  );
  BoundVehicle.init(
    { id: key(), name: word(), mounting: word(), document: { type: text, allowNull: false } },
    { sequelize, tableName: 'vehicles' },
  );
  BoundVehicleVersion.init(
    {
      vehicleId: key(),
      version: { type: DataTypes.INTEGER, primaryKey: true },
      at: moment(),
      by: word(),
      document: { type: text, allowNull: false },
    },
    { sequelize, tableName: 'vehicle_versions' },
  );
  BoundJob.init(
    {
      id: key(),
      number: number(),
      lastSeq: number(),
      lastHash: word(),
      signed: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      summary: { type: text, allowNull: false },
      summarySeq: { ...number(), defaultValue: 0 },
      touched: moment(),
      broughtIn: { ...number(), defaultValue: 0 },
      signedMonth: DataTypes.STRING(7),
    },
    { sequelize, tableName: 'jobs' },
  );
  BoundEntry.init(
    {
      id: key(),
      jobId: word(),
      seq: number(),
      version: number(),
      kind: word(),
      body: { type: text, allowNull: false },
      by: word(),
      device: word(),
      n: number(),
      at: word(),
      onId: DataTypes.STRING(60),
      said: DataTypes.STRING(200),
      decided: text,
      received: word(),
      behind: DataTypes.INTEGER,
      hash: word(),
    },
    { sequelize, tableName: 'entries' },
  );
  BoundRefusal.init(
    { id: key(), jobId: word(), refusal: { type: text, allowNull: false } },
    { sequelize, tableName: 'refusals' },
  );
  BoundJobState.init(
    { jobId: key(), seq: number(), hash: word(), build: word(), state: { type: text, allowNull: false } },
    { sequelize, tableName: 'job_states' },
  );
  BoundTagNumber.init(
    { jobId: key(), number: { type: DataTypes.INTEGER, primaryKey: true }, givenFor: word() },
    { sequelize, tableName: 'tag_numbers' },
  );
  BoundPhoto.init(
    { id: key(), jobId: word(), type: word(), bytes: { type: DataTypes.BLOB('long'), allowNull: false } },
    { sequelize, tableName: 'photos' },
  );
  BoundTagBlock.init({ jobId: key(), device: key(), block: number() }, { sequelize, tableName: 'tag_blocks' });
  BoundApproval.init(
    {
      id: key(),
      jobId: word(),
      lead: word(),
      gate: number(),
      item: word(),
      given: moment(),
      usedBy: DataTypes.STRING(60),
    },
    { sequelize, tableName: 'approvals' },
  );
  BoundDeviceToken.init(
    {
      hash: { type: DataTypes.STRING(64), primaryKey: true },
      personId: word(),
      device: word(),
      made: moment(),
      used: moment(),
      ended: DataTypes.DATE(3),
    },
    { sequelize, tableName: 'device_tokens' },
  );
  BoundCounter.init({ name: key(), value: number() }, { sequelize, tableName: 'counters' });
  BoundJobWord.init(
    { word: { type: DataTypes.STRING(40), primaryKey: true }, jobId: key() },
    { sequelize, tableName: 'job_words' },
  );
  BoundKnownDevice.init(
    { hash: { type: DataTypes.STRING(64), primaryKey: true }, device: word(), made: moment() },
    { sequelize, tableName: 'known_devices' },
  );
  BoundSealKey.init(
    {
      fingerprint: { type: DataTypes.STRING(64), primaryKey: true },
      publicKey: word(),
      own: { type: DataTypes.BOOLEAN, allowNull: false },
      shop: DataTypes.STRING(80),
      since: moment(),
      comparedBy: DataTypes.STRING(60),
    },
    { sequelize, tableName: 'seal_keys' },
  );
  BoundSeal.init(
    {
      jobId: key(),
      seq: { type: DataTypes.INTEGER, primaryKey: true },
      key: { type: DataTypes.STRING(64), primaryKey: true },
      hash: word(),
      at: word(),
      signature: word(),
    },
    { sequelize, tableName: 'seals' },
  );
  return {
    Setting: BoundSetting,
    Person: BoundPerson,
    Vehicle: BoundVehicle,
    VehicleVersion: BoundVehicleVersion,
    Job: BoundJob,
    Entry: BoundEntry,
    Refusal: BoundRefusal,
    JobState: BoundJobState,
    TagNumber: BoundTagNumber,
    Photo: BoundPhoto,
    TagBlock: BoundTagBlock,
    Approval: BoundApproval,
    DeviceToken: BoundDeviceToken,
    Counter: BoundCounter,
    JobWord: BoundJobWord,
    KnownDevice: BoundKnownDevice,
    SealKey: BoundSealKey,
    Seal: BoundSeal,
  };
}

/** The tables, by name. */
export type Models = ReturnType<typeof defineModels>;
