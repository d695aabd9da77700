import { commonPractice, computed, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { add, estimate, type Estimate, type Span } from '../estimate/index.ts';
import { fuels } from '../fluid/index.ts';
import { burstLitres } from './bursts.ts';
import { behindSills } from './stays.ts';
import { shareAt } from '../shape/index.ts';
import { estimateOf, widened, type AtLeast, type VehicleFile } from '../vehicle/index.ts';

/** What can say how much is aboard. */
export type WitnessKind =
  'gauge' | 'scan' | 'ohms' | 'sinceEmpty' | 'dip' | 'levelSeen' | 'weight' | 'bursts' | 'plugDry' | 'ranDry';

/** Two witnesses of one source are one: gauge and scan tool both read the sender. */
export const witnessSource: Record<WitnessKind, string> = {
  gauge: 'sender',
  scan: 'sender',
  ohms: 'sender',
  sinceEmpty: 'litres put in since empty',
  dip: 'level',
  levelSeen: 'level',
  weight: 'weight',
  // They end where the pump runs dry: a blocked strainer would fool the count and the dry pump alike.
  bursts: 'pick-up',
  plugDry: 'drain plug',
  ranDry: 'pick-up',
};

/** Each witness, as people call it. */
export const witnessWord: Record<WitnessKind, string> = {
  gauge: 'gauge',
  scan: 'scan tool',
  ohms: 'ohms at the plug',
  sinceEmpty: 'put in since empty',
  dip: 'dipped',
  levelSeen: 'level seen',
  weight: 'weighed',
  bursts: 'bursts until it ran dry',
  plugDry: 'plug open and dry',
  ranDry: 'pump or siphon ran dry',
};

/** No tank of these vehicles holds more L, or stands higher, mm: beyond that the reading is wrong. Common practice, no source. */
const MOST_LITRES = 400;
const MOST_HEIGHT = 1500;

/** A needle is read to an eighth of the scale either way; common practice, no source. */
export const GAUGE_ERROR = 0.125;
/** A dip or a level seen through the wall, mm either way; common practice, no source. */
const LEVEL_ERROR = 8;
/** Weighing a tank on a shop scale with what hangs from it, kg either way; common practice, no source. */
const WEIGHT_ERROR = 1;
/** A working sender may read so far outside the ohms of its file, share of their span; common practice, no source. */
const SENDER_OVER = 0.1;
/** Litres read off a container or counted, share either way; common practice, no source. */
export const COUNT_ERROR = 0.03;

/**
 * Litres aboard that one witness stands for.
 *
 * @param reading gauge and scan: share of full, 0 to 1; ohms: of the sender; sinceEmpty: litres; dip and levelSeen: mm
 *   above the floor; weight: kg of tank with fuel; bursts: seconds the pump ran; plugDry and ranDry: no reading
 * @throws InputError when the reading cannot be
 * @example witnessLitres(rail, 'gauge', 0.5) // 22.5 … 81 L for a tank of 60–130 L
 */
export function witnessLitres(guessed: VehicleFile, kind: WitnessKind, reading: number | null): Estimate {
  const file = widened(guessed, shownBy(kind, reading));
  const capacity = estimateOf(file, file.tank.litres);
  const { height } = file.tank.shape;
  switch (kind) {
    case 'gauge':
    case 'scan': {
      const share = within(reading, { lo: 0, hi: 1, field: kind, expected: 'a share of full between 0 and 1' });
      const lo = Math.max(0, share - GAUGE_ERROR) * capacity.lo;
      const hi = Math.min(1, share + GAUGE_ERROR) * capacity.hi;
      return estimate({ lo, typ: Math.min(hi, Math.max(lo, share * capacity.typ)), hi }, commonPractice);
    }
    case 'sinceEmpty': {
      const most = Math.min(capacity.hi, MOST_LITRES);
      const litres = within(reading, {
        lo: 0,
        hi: most,
        field: kind,
        expected: `0 to ${most} L, what the tank can hold`,
      });
      const unusable = estimateOf(file, file.tank.unusable);
      return estimate(
        { lo: litres * (1 - COUNT_ERROR), typ: litres + unusable.typ, hi: litres * (1 + COUNT_ERROR) + unusable.hi },
        measured,
      );
    }
    case 'dip':
    case 'levelSeen': {
      const most = Math.min(height, MOST_HEIGHT);
      const mm = within(reading, {
        lo: 0,
        hi: most,
        field: kind,
        expected: `0 to ${most} mm, the height of the tank`,
      });
      return throughShape(file, { lo: mm - LEVEL_ERROR, typ: mm, hi: mm + LEVEL_ERROR });
    }
    case 'ohms': {
      if (!file.sender)
        throw new InputError('ohms', String(reading), 'a vehicle file that says what the sender reads empty and full');
      const { emptyOhms, fullOhms } = file.sender;
      const ends = [emptyOhms.lo, emptyOhms.hi, fullOhms.lo, fullOhms.hi];
      const slack = (Math.max(...ends) - Math.min(...ends)) * SENDER_OVER;
      const [least, most] = [Math.max(0, Math.min(...ends) - slack), Math.max(...ends) + slack];
      const ohms = within(reading, {
        lo: least,
        hi: most,
        field: kind,
        expected: `${Math.round(least)} to ${Math.round(most)} Ω, what this sender can read`,
      });
      const mm = (empty: number, full: number) =>
        height * Math.min(1, Math.max(0, (ohms - empty) / (full - empty || 1)));
      const corners = [emptyOhms.lo, emptyOhms.hi].flatMap((e) => [fullOhms.lo, fullOhms.hi].map((f) => mm(e, f)));
      return throughShape(file, {
        lo: Math.min(...corners) - LEVEL_ERROR,
        typ: mm(emptyOhms.typ, fullOhms.typ),
        hi: Math.max(...corners) + LEVEL_ERROR,
      });
    }
    case 'bursts': {
      const seconds = within(reading, { lo: 0, hi: 7200, field: kind, expected: '0 to 7200 s that the pump ran' });
      return add(burstLitres(seconds), estimateOf(file, file.tank.unusable));
    }
    case 'weight': {
      const empty = estimateOf(file, file.tank.emptyMass);
      const { density } = fuels[file.fuel];
      const heaviest = empty.hi + capacity.hi * density.hi;
      const kg = within(reading, { lo: 0, hi: heaviest, field: kind, expected: `0 to ${Math.round(heaviest)} kg` });
      const litres = (mass: number, d: number) => Math.max(0, mass / d);
      return estimate(
        {
          lo: litres(kg - WEIGHT_ERROR - empty.hi, density.hi),
          typ: litres(kg - empty.typ, density.typ),
          hi: litres(kg + WEIGHT_ERROR - empty.lo, density.lo),
        },
        computed('weight less the empty tank, by density'),
      );
    }
    case 'plugDry':
    case 'ranDry': {
      // Dry where the pick-up or the plug is: what stands behind a hump nobody has seen, neither that it is there nor that it is not.
      const behind = behindSills(file).litres;
      const { typ, hi, basis } = estimateOf(file, file.tank.unusable);
      return { lo: 0, typ: typ + behind / 2, hi: hi + behind, basis };
    }
  }
}

/** What a witness shows of the tank itself: it holds, or is wet, at least so much. */
export const shownBy = (kind: WitnessKind, reading: number | null): AtLeast => {
  if (reading === null) return {};
  if (kind === 'sinceEmpty') return { litres: reading };
  return kind === 'dip' || kind === 'levelSeen' ? { mm: reading } : {};
};

/** Litres between two levels through the shape; the shape says the share, the file how much full is. */
function throughShape(file: VehicleFile, { lo, typ, hi }: Span): Estimate {
  const capacity = estimateOf(file, file.tank.litres);
  const { shape } = file.tank;
  // Below the crest of a hump the level of one lobe says nothing of the other: empty, or full to the crest.
  const { litres: behind, crest } = behindSills(file);
  const other = (mm: number) => (mm < crest ? behind : 0);
  const most = Math.max(shareAt(shape, hi), hi < crest ? shareAt(shape, crest) : 0) * capacity.hi;
  const middle = shareAt(shape, typ) * capacity.typ;
  return estimate(
    {
      lo: Math.min(middle, Math.max(0, shareAt(shape, lo) * capacity.lo - other(lo))),
      typ: middle,
      hi: Math.min(most, Math.max(middle, shareAt(shape, hi) * capacity.hi + other(hi))),
    },
    computed('level through the shape of the tank'),
  );
}

function within(
  reading: number | null,
  { lo, hi, field, expected }: { lo: number; hi: number; field: string; expected: string },
): number {
  if (reading === null || !Number.isFinite(reading) || reading < lo || reading > hi)
    throw new InputError(field, reading === null ? '' : String(reading), expected);
  return reading;
}
