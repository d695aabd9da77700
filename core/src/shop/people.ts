import { IsIn, IsInt, IsOptional, IsString, Length, Matches, Max, Min } from 'class-validator';
import { Written } from '../checked/index.ts';

const PIN = { message: 'must be four to eight digits' };

/** Somebody who is to work here. */
export class PersonBody {
  /** As people call them. */
  @IsString() @Length(1, 40) @Written('a name') name!: string;
  /** What they may do. */
  @IsIn(['technician', 'lead']) role!: 'technician' | 'lead';
  /** What they sign in with. */
  @IsString() @Matches(/^\d{4,8}$/, PIN) pin!: string;
}

/** What of somebody is changed. */
export class PersonChangeBody {
  /** As people call them. */
  @IsOptional() @IsString() @Length(1, 40) @Written('a name') name?: string;
  /** What they may do. */
  @IsOptional() @IsIn(['technician', 'lead']) role?: 'technician' | 'lead';
}

/** Somebody signs in. */
export class SignInBody {
  /** Who, chosen from the list, */
  @IsOptional() @IsString() @Length(1, 60) personId?: string;
  /** or by the name they typed, on a device that is shown no list. */
  @IsOptional() @IsString() @Length(1, 40) @Written('a name') name?: string;
  /** Their PIN. */
  @IsString() @Matches(/^\d{4,8}$/, PIN) pin!: string;
}

/** A device that asks for the PIN is opened again. */
export class UnlockBody {
  /** Of whoever is signed in. */
  @IsString() @Matches(/^\d{4,8}$/, PIN) pin!: string;
}

/** A PIN is set anew: one's own with the old one, another's by the lead. */
export class NewPinBody {
  /** The new one. */
  @IsString() @Matches(/^\d{4,8}$/, PIN) pin!: string;
  /** One's own, as it was. */
  @IsOptional() @IsString() @Matches(/^\d{4,8}$/, PIN) old?: string;
}

/** The id of a device. */
const DEVICE = /^[\w-]{8,60}$/;
/** What a sign-in leaves on a device. */
const TOKEN = /^[\w-]{20,80}$/;

/** Somebody is signed in on a device that asks for its token. */
export class DeviceBody {
  /** Which device. */
  @IsString() @Matches(DEVICE, { message: 'must be the id of a device' }) device!: string;
  /** The one it has of this person. */
  @IsOptional() @IsString() @Matches(TOKEN) token?: string;
}

/** A lead allows one item of a gate, once. */
export class AllowBody {
  /** The lead. */
  @IsString() @Length(1, 60) personId!: string;
  /** Their PIN. */
  @IsString() @Matches(/^\d{4,8}$/, PIN) pin!: string;
  /** The job. */
  @IsString() @Length(1, 60) jobId!: string;
  /** The gate. */
  @IsInt() @Min(1) @Max(4) gate!: number;
  /** The item of it. */
  @IsString() @Length(1, 40) item!: string;
}

/** A key was compared with the shop it belongs to; nothing: no longer. */
export class ComparedBody {
  /** The shop, as people call it. */
  @IsOptional() @IsString() @Length(1, 80) @Written('a name') shop?: string | null;
}
