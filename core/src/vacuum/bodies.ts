import { IsIn, IsNumber, IsOptional, IsString, Length, Max, Min } from 'class-validator';

/** What the tester did with its own end shut: proved before anything hangs on it. */
export const testerStates = ['held', 'fell', 'notTried'] as const;
/** One of them. */
export type TesterState = (typeof testerStates)[number];

/** What a valve did one way. */
export const wayStates = ['holds', 'lets', 'nothing'] as const;
/** One of them: it holds the vacuum, lets it go slowly, or there never is any. */
export type WayState = (typeof wayStates)[number];

/** A non-return valve tried by vacuum, both ways. */
export class ValveTriedBody {
  /** Which: the foot valve, a check valve of a line. */
  @IsString() @Length(1, 80) valve!: string;
  /** The tester, its end shut. */
  @IsIn(testerStates) tester!: TesterState;
  /** Against its arrow. */
  @IsIn(wayStates) against!: WayState;
  /** Along its arrow. */
  @IsIn(wayStates) along!: WayState;
  /** Vacuum it held against its arrow, kPa. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) kPa?: number;
  /** How far above its seat the fuel has to stand, m. */
  @IsOptional() @IsNumber() @Min(0) @Max(3) lift?: number;
}

/** A line that stays on the vehicle, plugged at one end, under vacuum. */
export class LineHeldBody {
  /** Id of the line. */
  @IsString() @Length(1, 60) line!: string;
  /** The tester, its end shut. */
  @IsIn(testerStates) tester!: TesterState;
  /** Vacuum at first, kPa. */
  @IsNumber() @Min(0) @Max(100) from!: number;
  /** Vacuum at the end, kPa. */
  @IsNumber() @Min(0) @Max(100) to!: number;
  /** s */
  @IsNumber() @Min(1) @Max(3600) seconds!: number;
}

/** Where a part that is missing inside was looked for. */
export const searchPlaces = ['tank', 'line', 'filter'] as const;
/** One of them. */
export type SearchPlace = (typeof searchPlaces)[number];

/** A part that is missing inside was looked for at one place. */
export class SearchedBody {
  /** Which valve it is missing of. */
  @IsString() @Length(1, 80) valve!: string;
  /** Where. */
  @IsIn(searchPlaces) place!: SearchPlace;
  /** Was it there? */
  @IsIn(['found', 'notThere']) told!: 'found' | 'notThere';
}
