import { randomUUID } from 'node:crypto';
import {
  InputError,
  instruments,
  servedBy,
  type Instrument,
  type InstrumentKind,
  type OfferedLine,
  type SourceBody,
} from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { notFound } from '../http/problem.ts';
import { fixAddress, type FixedAddress } from './address.ts';
import { offered } from './remote.ts';

/** A gateway the lead added. */
export interface Source extends SourceBody {
  /** Its id. */
  id: string;
  /** Where it was found when it was added. */
  at: FixedAddress;
  /** What it said it reads then. */
  lines: OfferedLine[];
}

const NAME = 'instruments';

/** The gateways of the shop. */
export async function readSources(db: Database): Promise<Source[]> {
  const row = await db.models.Setting.findByPk(NAME);
  return row ? (JSON.parse(row.value) as Source[]) : [];
}

const write = (db: Database, sources: Source[]) =>
  db.models.Setting.upsert({ name: NAME, value: JSON.stringify(sources) });

/**
 * Adds a gateway: looked up once, asked what it reads, kept with that.
 *
 * @throws InputError for an address outside, or a gateway that reads nothing the product knows
 */
export async function addSource(db: Database, { name, address }: SourceBody): Promise<Source> {
  const at = await fixAddress(address);
  const lines = await offered(at);
  if (!lines.some((line) => servedBy(line).length > 0))
    throw new InputError('address', address, 'a gateway that reads something known here, in its unit');
  const source: Source = { id: randomUUID(), name, address, at, lines };
  await write(db, [...(await readSources(db)).filter((had) => had.address !== address), source]);
  return source;
}

/** Takes a gateway away. @throws Problem where there is none of that id */
export async function removeSource(db: Database, id: string): Promise<void> {
  const had = await readSources(db);
  if (!had.some((source) => source.id === id)) throw notFound('gateway');
  await write(
    db,
    had.filter((source) => source.id !== id),
  );
}

/** Which gateway reads a channel, and by which of its lines; null: none. */
export function sourceFor(
  sources: readonly Source[],
  { kind, channel }: { kind: InstrumentKind; channel: string },
): { source: Source; line: OfferedLine } | null {
  for (const source of sources)
    for (const line of source.lines)
      if (line.kind === kind && servedBy(line).some(({ id }) => id === channel)) return { source, line };
  return null;
}

/** What the gateways read, as instruments. @example listed([meter])[0].channels.map((c) => c.id) // ['senderOhms', 'sweepUp', 'sweepDown'] */
export const listed = (sources: readonly Source[]): Instrument[] =>
  instruments.flatMap((instrument) => {
    const channels = instrument.channels.filter(({ id }) => sourceFor(sources, { kind: instrument.kind, channel: id }));
    return channels.length > 0 ? [{ ...instrument, channels }] : [];
  });
