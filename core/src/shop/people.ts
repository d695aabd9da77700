import { IsIn, IsInt, IsString, Length, Matches, Max, Min } from 'class-validator';
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

/** Somebody signs in. */
export class SignInBody {
  /** Who. */
  @IsString() @Length(1, 60) personId!: string;
  /** Their PIN. */
  @IsString() @Matches(/^\d{4,8}$/, PIN) pin!: string;
}

/** A lead allows one item of a gate, once. */
export class AllowBody extends SignInBody {
  /** The job. */
  @IsString() @Length(1, 60) jobId!: string;
  /** The gate. */
  @IsInt() @Min(1) @Max(4) gate!: number;
  /** The item of it. */
  @IsString() @Length(1, 40) item!: string;
}
