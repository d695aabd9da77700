import 'reflect-metadata';
import {
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUrl,
  Length,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator';
import { Written } from '../checked/index.ts';
import { instruments, type Channel, type InstrumentKind, type Reading } from './types.ts';

/** A gateway of the shop, by its address on the shop’s own network. */
export class SourceBody {
  /** As people call it. */
  @IsString() @Length(1, 60) @Written('a name') name!: string;
  /** Where it answers: plain http, a host and a port of the shop’s own network. */
  @IsUrl({
    protocols: ['http'],
    require_protocol: true,
    require_tld: false,
    disallow_auth: true,
    allow_query_components: false,
    allow_fragments: false,
  })
  @MaxLength(200)
  address!: string;
}

/** One line of what a gateway lists: something it reads. */
export class OfferedLine {
  /** Which instrument it is. */
  @IsIn(instruments.map(({ kind }) => kind)) kind!: InstrumentKind;
  /** Which of its channels; `ohms` and `volts` serve every place where that is read. */
  @IsString() @Length(1, 40) channel!: string;
  /** Unit of its readings; another than the product’s is refused, never converted by guess. */
  @IsString() @MaxLength(12) unit!: string;
}

/** One reading as a gateway tells it. */
export class ReadingLine {
  /** As shown; null: it shows nothing, open or over its range. */
  @ValidateIf((line: ReadingLine) => line.value !== null) @IsNumber() value!: number | null;
  /** Unit of the value. */
  @IsString() @MaxLength(12) unit!: string;
  /** ms since the epoch, by its own clock. */
  @IsOptional() @IsInt() @Min(0) at?: number;
}

/** What one meter reads wherever its leads are: served to every channel of these. */
const ANYWHERE: Readonly<Record<string, readonly string[]>> = {
  ohms: ['senderOhms', 'sweepUp', 'sweepDown'],
  volts: ['feed', 'ground', 'volts'],
  pressure: ['pressure', 'outlet'],
  litres: ['litres', 'bench'],
  vacuum: ['tester', 'against', 'along', 'line'],
};

/**
 * Channels of the product that a line of a gateway serves; none where its unit is another.
 *
 * @example servedBy({ kind: 'multimeter', channel: 'ohms', unit: 'Ω' }).map((channel) => channel.id) // ['senderOhms', 'sweepUp', 'sweepDown']
 */
export function servedBy({ kind, channel, unit }: OfferedLine): Channel[] {
  const wanted = ANYWHERE[channel] ?? [channel];
  const channels = instruments.find((one) => one.kind === kind)?.channels ?? [];
  return channels.filter((one) => wanted.includes(one.id) && one.unit === unit);
}

/**
 * A line of a gateway as the product shows it: at what it was read by, nothing rounded away.
 *
 * @param now ms since the epoch, where the gateway does not say
 * @example readingOf({ value: 62.4, unit: 'Ω' }, { kind: 'multimeter', channel: 'senderOhms', now: 0 }).text // '62.4 Ω'
 */
export const readingOf = (
  { value, unit, at }: ReadingLine,
  { kind, channel, now }: { kind: InstrumentKind; channel: string; now: number },
): Reading => ({
  kind,
  channel,
  value,
  unit,
  text: value === null ? 'open' : `${value} ${unit}`.trim(),
  at: at ?? now,
});
