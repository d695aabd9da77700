import type { UnitSystem } from '@iron-cradle/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A setting of the shop, by name. */
export class Setting extends Model<InferAttributes<Setting>, InferCreationAttributes<Setting>> {
  declare name: string;
  declare value: string;
}

/** Somebody who works here, or did. */
export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  declare id: string;
  declare name: string;
  declare role: 'technician' | 'lead';
  /** Null for somebody who is only named in an imported record and cannot sign in. */
  declare pinHash: string | null;
  /** Units in which this person reads lengths. */
  declare units: CreationOptional<UnitSystem>;
  declare failed: CreationOptional<number>;
  declare lockedUntil: CreationOptional<Date | null>;
}

/** The newest version of a vehicle file. */
export class Vehicle extends Model<InferAttributes<Vehicle>, InferCreationAttributes<Vehicle>> {
  declare id: string;
  declare name: string;
  declare mounting: string;
  declare document: string;
}

/** Every version of a vehicle file, with who kept it. */
export class VehicleVersion extends Model<InferAttributes<VehicleVersion>, InferCreationAttributes<VehicleVersion>> {
  declare vehicleId: string;
  declare version: number;
  declare at: Date;
  declare by: string;
  declare document: string;
}

/** A job, with what the lists show of it. */
export class Job extends Model<InferAttributes<Job>, InferCreationAttributes<Job>> {
  declare id: string;
  declare number: number;
  declare lastSeq: number;
  declare lastHash: string;
  declare signed: CreationOptional<boolean>;
  declare summary: string;
  /** Number of the entry up to which the summary was reckoned. */
  declare summarySeq: CreationOptional<number>;
  declare touched: Date;
}

/** An entry of a job, chained to the one before. */
export class EntryRow extends Model<InferAttributes<EntryRow>, InferCreationAttributes<EntryRow>> {
  declare id: string;
  declare jobId: string;
  declare seq: number;
  declare version: number;
  declare kind: string;
  /** JSON text, as hashed. */
  declare body: string;
  declare by: string;
  declare device: string;
  declare n: number;
  declare at: string;
  declare onId: string | null;
  /** JSON text; null for nearly all. */
  declare said: string | null;
  declare decided: string | null;
  declare received: string;
  /** s the clock of its device was behind the server's when it was delivered; null: under two minutes, or not said. */
  declare behind: CreationOptional<number | null>;
  declare hash: string;
}

/** What was refused, so that the same entry gets the same answer again. */
export class RefusalRow extends Model<InferAttributes<RefusalRow>, InferCreationAttributes<RefusalRow>> {
  declare id: string;
  declare jobId: string;
  /** JSON text. */
  declare refusal: string;
}

/** A folded state, kept for the number, hash and build it was folded at. */
export class JobStateRow extends Model<InferAttributes<JobStateRow>, InferCreationAttributes<JobStateRow>> {
  declare jobId: string;
  declare seq: number;
  declare hash: string;
  declare build: string;
  /** JSON text. */
  declare state: string;
}

/** The next number that no tag has yet. */
export class TagNumber extends Model<InferAttributes<TagNumber>, InferCreationAttributes<TagNumber>> {
  declare jobId: string;
  declare number: number;
  declare givenFor: string;
}

/** A photo that was taken of a job. */
export class Photo extends Model<InferAttributes<Photo>, InferCreationAttributes<Photo>> {
  declare id: string;
  declare jobId: string;
  declare type: string;
  declare bytes: Buffer;
}

/** Numbers of tags that a device may paint while it is away. */
export class TagBlock extends Model<InferAttributes<TagBlock>, InferCreationAttributes<TagBlock>> {
  declare jobId: string;
  declare device: string;
  declare block: number;
}

/** An exception that a lead allowed, once. */
export class Approval extends Model<InferAttributes<Approval>, InferCreationAttributes<Approval>> {
  declare id: string;
  declare jobId: string;
  declare lead: string;
  declare gate: number;
  declare item: string;
  declare given: Date;
  /** Id of the entry it was used by. */
  declare usedBy: CreationOptional<string | null>;
}

/** A person on a device, by what the sign-in left there. */
export class DeviceToken extends Model<InferAttributes<DeviceToken>, InferCreationAttributes<DeviceToken>> {
  /** SHA-256 of the token. */
  declare hash: string;
  declare personId: string;
  declare device: string;
  declare made: Date;
  declare used: Date;
  declare ended: CreationOptional<Date | null>;
}

/** The last number that was given, by what it counts. */
export class Counter extends Model<InferAttributes<Counter>, InferCreationAttributes<Counter>> {
  declare name: string;
  declare value: number;
}

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
  };
}

/** The tables, by name. */
export type Models = ReturnType<typeof defineModels>;
