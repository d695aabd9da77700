import { pieceOf } from '../bench/index.ts';
import { benchRun } from './benchRun.ts';
import { InputError } from '../errors/index.ts';
import { airThrough, areaOf } from '../hold/index.ts';
import type { JobState } from '../job/index.ts';
import { ATMOSPHERE, ownUnit } from '../quantity/index.ts';
import { hiddenTruth } from '../truth/index.ts';
import { nowOf } from './now.ts';
import { instruments, type Channel, type InstrumentKind, type Reading } from './types.ts';

/** Ohms empty and full of the older of two families of senders, where the file of a demo vehicle has none; common practice, no source. */
const OLDER = { empty: 20, full: 80 };

/**
 * What a simulated instrument shows: the truth of a demo job, with noise, resolution and range.
 *
 * @param at ms since the epoch; `since` when the arm was set in motion or the pump switched on, `off` when it was switched off
 * @param chance numbers from 0 to 1
 * @throws InputError for an instrument or a channel that there is not
 * @example readInstrument(state, { kind: 'pressureGauge', channelId: 'pressure', at: Date.now(), chance: Math.random }).text // '2.84 bar'
 */
export function readInstrument(
  state: JobState,
  {
    kind,
    channelId,
    at,
    chance,
    since = at,
    off,
  }: {
    kind: InstrumentKind;
    channelId: string;
    at: number;
    chance: () => number;
    since?: number;
    off?: number | undefined;
  },
): Reading {
  const instrument = instruments.find((i) => i.kind === kind);
  if (!instrument) throw new InputError('instrument', kind, instruments.map((i) => i.kind).join(', '));
  const channel = instrument.channels.find((c) => c.id === channelId);
  if (!channel) throw new InputError('channel', channelId, instrument.channels.map((c) => c.id).join(', '));
  const real = valueOf(state, { kind, channel: channel.id, at, since, off: off ?? null });
  if (real === null) return { kind, channel: channel.id, value: null, unit: channel.unit, text: 'open', at };
  return { kind, channel: channel.id, unit: channel.unit, at, ...shown(real, channel, chance) };
}

function shown(value: number, channel: Channel, chance: () => number): Pick<Reading, 'value' | 'text'> {
  // Box and Muller: two even numbers make one that is normally spread.
  const normal = Math.sqrt(-2 * Math.log(Math.max(chance(), 1e-12))) * Math.cos(2 * Math.PI * chance());
  const noisy = value + (value === 0 ? Math.abs(normal) : normal) * channel.noise;
  if (noisy > channel.range[1]) return { value: null, text: 'over' };
  const steps = Math.round(Math.max(channel.range[0], noisy) / channel.resolution);
  const digits = Math.max(0, -Math.floor(Math.log10(channel.resolution)));
  const rounded = Number((steps * channel.resolution).toFixed(digits));
  return { value: rounded, text: `${rounded.toFixed(digits)}${channel.unit ? ` ${channel.unit}` : ''}` };
}

function valueOf(
  state: JobState,
  {
    kind,
    channel,
    at,
    since,
    off,
  }: { kind: InstrumentKind; channel: string; at: number; since: number; off: number | null },
): number | null {
  const truth = hiddenTruth(state);
  const now = nowOf(truth, state, at);
  const moved = at - since;
  const run = () =>
    benchRun(state, truth, {
      seconds: ((off ?? at) - since) / 1000,
      stood: off === null ? null : (at - off) / 1000,
    });
  switch (kind) {
    case 'pressureGauge':
      return channel === 'outlet' ? run().bar : now.pressure / 100;
    case 'tankGauge':
      return heldAt({ leak: truth.leak, air: Math.max(1, truth.airLitres - now.litres) }, moved / 1000);
    case 'gasMeter':
      return now.lel;
    case 'flowCounter':
      return channel === 'bench' ? run().litres : now.pumped;
    case 'supply':
      return channel === 'volts' ? run().volts : run().amps;
    case 'vacuumPump':
      return vacuumAt(channel, moved / 1000, truth.valvesLet);
    case 'scale':
      return truth.emptyMass + now.litres * truth.density;
    case 'scanTool':
      if (channel === 'codes') return truth.codes.length;
      return dead(truth.deadSpot, now.levelShare) ? 0 : now.levelShare * 100;
    case 'multimeter': {
      if (channel === 'feed') return truth.feedDrop;
      if (channel === 'ground') return truth.groundDrop;
      const share = channel.startsWith('sweep') ? armAt(channel, moved) : now.levelShare;
      // What was fitted since is sound.
      const swapped = (state.pieces.sender?.length ?? 0) > 1 && pieceOf(state, 'sender').called !== null;
      if (!swapped && dead(truth.deadSpot, share)) return null;
      const { sender } = state.vehicle;
      const [empty, full] = sender ? [sender.emptyOhms.typ, sender.fullOhms.typ] : [OLDER.empty, OLDER.full];
      return empty + (full - empty) * share;
    }
  }
}

/** Pumped up by hand to here, Pa. */
const PUMPED = 13.5 * 249.08891;

/** What a tank with so many litres of air in it, shut off, still holds so many seconds after it was pumped up; inH2O. */
function heldAt({ leak, air }: { leak: number; air: number }, seconds: number): number {
  const outside = { gauge: PUMPED, outside: ATMOSPHERE, celsius: 20 };
  const fall = (airThrough(outside) * areaOf(leak / 1000) * ATMOSPHERE) / (2 * (air / 1000) * Math.sqrt(PUMPED));
  return ownUnit(Math.max(0, Math.sqrt(PUMPED) - fall * seconds) ** 2, 'pressure', 'inH2O');
}

/** Drawn by hand to here, kPa, and s in which a third of it is left: through a valve that lets go, and elsewhere. Simulated. */
const DRAWN = { kPa: 40, lets: 90, holds: 6_000 };

/** What a hand vacuum pump still shows so many seconds after it was drawn; kPa. */
function vacuumAt(channel: string, seconds: number, lets: boolean): number {
  if (channel === 'along') return 0;
  return DRAWN.kPa * Math.exp(-seconds / (channel === 'against' && lets ? DRAWN.lets : DRAWN.holds));
}

/** A slow hand: a second at the stop, ten seconds on the way, ms. */
const HAND = { rests: 1_000, takes: 10_000 };

/** Share of the travel where the arm is. */
function armAt(channel: string, moved: number): number {
  const along = Math.min(1, Math.max(0, (moved - HAND.rests) / HAND.takes));
  return channel === 'sweepUp' ? along : 1 - along;
}

const dead = (spot: [number, number] | null, share: number): boolean =>
  spot !== null && share >= spot[0] && share <= spot[1];
