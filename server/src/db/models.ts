import type { UnitSystem } from '@iron-cradle/core';
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes } from 'sequelize';

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
  /** Number of its last entry that was brought in from elsewhere; 0: it was made here. */
  declare broughtIn: CreationOptional<number>;
  declare touched: Date;
  /** Month in which it was signed, as 2026-11. */
  declare signedMonth: CreationOptional<string | null>;
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

/** A device on which somebody signed in. */
export class KnownDevice extends Model<InferAttributes<KnownDevice>, InferCreationAttributes<KnownDevice>> {
  /** Of what it keeps. */
  declare hash: string;
  declare device: string;
  declare made: Date;
}

/** The last number that was given, by what it counts. */
export class Counter extends Model<InferAttributes<Counter>, InferCreationAttributes<Counter>> {
  declare name: string;
  declare value: number;
}

/** A word that a signed job is found by. */
export class JobWord extends Model<InferAttributes<JobWord>, InferCreationAttributes<JobWord>> {
  declare word: string;
  declare jobId: string;
}

/** A key that logs are sealed with. */
export class SealKey extends Model<InferAttributes<SealKey>, InferCreationAttributes<SealKey>> {
  /** SHA-256 of the key. */
  declare fingerprint: string;
  declare publicKey: string;
  /** One of this shop's, of which there may be several: a lost one goes on being known. */
  declare own: boolean;
  /** The shop the lead compared it with. */
  declare shop: string | null;
  declare since: Date;
  declare comparedBy: string | null;
}

/** A seal over a log up to one of its entries. */
export class SealRow extends Model<InferAttributes<SealRow>, InferCreationAttributes<SealRow>> {
  declare jobId: string;
  declare seq: number;
  declare hash: string;
  declare at: string;
  /** Fingerprint of its key. */
  declare key: string;
  declare signature: string;
}
