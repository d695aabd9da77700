import { commonPractice, computed, fromMemory, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';

/** Copper at 20 °C, Ω·m, and what it gains a kelvin; NIST, from memory. */
const COPPER = { ohmMetres: 1.7241e-8, perKelvin: 0.00393 };
/** Automotive wire is thinner than its gauge: SAE J1128 against ASTM B258 at gauge 14, from memory. */
const AUTOMOTIVE = 9.32 / 8.285;

/** What each gauge carries under a vehicle, A; common practice, no source. */
const CARRIES: Readonly<Record<string, number>> = { '18': 10, '16': 15, '14': 20, '12': 30, '10': 40 };
/** Gauges that are used here. */
export const gauges = [10, 12, 14, 16, 18] as const;
/** One of them. */
export type Gauge = (typeof gauges)[number];

/** Volts that may be lost in the feed, and in the ground; common practice, no source. */
const LOST = { feed: 0.5, ground: 0.1 };
/** A fuse carries so many times what runs through it; common practice, no source. */
const FUSE = 1.25;

/**
 * Diameter of a wire by its gauge, mm: 0.127 · 92^((36 − n)/39), ASTM B258.
 *
 * @example gaugeDiameter(14) // 1.628
 */
export const gaugeDiameter = (gauge: number): number => 0.127 * 92 ** ((36 - gauge) / 39);

/**
 * Ohms of a kilometre of copper wire.
 *
 * @param celsius of the wire; `automotive` as thin as SAE J1128 allows
 * @example ohmsPerKilometre(14) // 8.285
 */
export function ohmsPerKilometre(gauge: number, { celsius = 20, automotive = false } = {}): number {
  const metres = gaugeDiameter(gauge) / 1000;
  const ohms = (COPPER.ohmMetres * (1 + COPPER.perKelvin * (celsius - 20)) * 1000) / ((Math.PI / 4) * metres ** 2);
  return automotive ? ohms * AUTOMOTIVE : ohms;
}

/** A wire to a pump. */
export interface Wire {
  /** A that run through it. */
  amps: number;
  /** m from where it is fed to the plug. */
  metres: number;
  /** Its gauge. */
  gauge: Gauge;
  /** Does the ground come back by a wire as long, or through the chassis? */
  back: 'wire' | 'chassis';
  /** A of its fuse; left out: not looked at. */
  fuse?: number | undefined;
  /** V measured in the feed, pump running; left out: reckoned from its length. */
  feed?: number | undefined;
  /** V measured in the ground, pump running; left out: not measured. */
  ground?: number | undefined;
}

/**
 * V lost on the way: 1 · L · I · R on the feed, twice that where a wire brings it back.
 *
 * @throws InputError for a wire of no length
 * @example lostIn({ amps: 6, metres: 4, gauge: 14, back: 'chassis' }) // 0.20
 */
export function lostIn({ amps, metres, gauge, back }: Pick<Wire, 'amps' | 'metres' | 'gauge' | 'back'>): number {
  if (!(metres > 0 && metres <= 100)) throw new InputError('metres', String(metres), '0 to 100 m');
  if (!(amps > 0 && amps <= 100)) throw new InputError('amps', String(amps), '0 to 100 A');
  return ((back === 'wire' ? 2 : 1) * metres * amps * ohmsPerKilometre(gauge)) / 1000;
}

/**
 * A ground’s resistance by what is lost in it. Ω
 *
 * @example groundOhms(0.1, 6) // 0.0167
 */
export function groundOhms(volts: number, amps: number): number {
  if (!(amps > 0)) throw new InputError('amps', String(amps), 'what runs through it, more than none');
  return volts / amps;
}

/**
 * Is this wire thick enough, its fuse right, its ground sound? Feed at most half a volt, ground a tenth.
 *
 * @param seen what is wrong with it by eye and hand
 * @example judgeWire({ amps: 6, metres: 4, gauge: 18, back: 'chassis', fuse: 15 }).outcome // 'bad': the fuse is more than the wire carries
 */
export function judgeWire(wire: Wire, seen: readonly string[] = []): Verdict {
  const { amps, gauge, fuse, ground, metres } = wire;
  const basis = commonPractice;
  const reckoned = lostIn({ ...wire, back: 'chassis' });
  // What was measured outranks what copper of that length would lose.
  const feed = wire.feed ?? reckoned;
  const carries = CARRIES[String(gauge)]!;
  const found: Found[] = seen.map((text) => ({
    outcome: 'bad',
    at: 'feed',
    text,
    next: 'mend it first, then measure again',
  }));
  if (wire.feed !== undefined && wire.feed > 1.5 * reckoned + 0.1)
    found.push({
      outcome: 'doubtful',
      at: 'feed',
      text: 'more is lost than copper of that length loses: a bad joint on the way',
      figure: `${roundTo(wire.feed, 0.01)} V`,
      limit: `${roundTo(reckoned, 0.01)} V reckoned`,
      next: 'volts at each plug on the way, pump running: where does it fall?',
    });
  const thicker = [...gauges]
    .reverse()
    .find((one) => lostIn({ ...wire, gauge: one, back: 'chassis' }) <= LOST.feed && CARRIES[String(one)]! >= amps);
  const next = thicker
    ? `gauge ${thicker} or thicker over ${roundTo(metres, 0.1)} m`
    : 'a shorter way, or a relay near the pump';
  if (amps > carries)
    found.push({
      outcome: 'bad',
      at: 'amps',
      text: 'more than this wire carries',
      figure: `${roundTo(amps, 0.1)} A`,
      limit: `${carries} A, gauge ${gauge}`,
      next,
    });
  if (feed > LOST.feed)
    found.push({
      outcome: 'bad',
      at: 'feed',
      text: 'too much is lost in the feed',
      figure: `${roundTo(feed, 0.01)} V`,
      limit: `${LOST.feed} V`,
      basis: wire.feed === undefined ? computed('L · I · R of copper, ASTM B258') : measured,
      next,
    });
  if (fuse !== undefined && fuse > carries)
    found.push({
      outcome: 'bad',
      at: 'fuse',
      text: 'the fuse lets more through than the wire carries',
      figure: `${fuse} A`,
      limit: `${carries} A`,
      next: `a fuse of at most ${carries} A`,
    });
  if (fuse !== undefined && fuse < FUSE * amps)
    found.push({
      outcome: 'doubtful',
      at: 'fuse',
      text: 'the fuse is close to what runs: it blows warm',
      figure: `${fuse} A`,
      limit: `${roundTo(FUSE * amps, 0.1)} A`,
      next: 'one a size up, if the wire carries it',
    });
  if (ground !== undefined && ground > LOST.ground)
    found.push({
      outcome: 'bad',
      at: 'ground',
      text: 'the ground is not sound',
      figure: `${roundTo(ground, 0.01)} V, ${Math.round(groundOhms(ground, amps) * 1000)} mΩ`,
      limit: `${LOST.ground} V`,
      next: 'bright metal at both ends of the strap, and read it again with the pump running',
    });
  if (found.length === 0)
    found.push({
      outcome: 'good',
      text: 'wire, fuse and what was measured suit each other',
      figure: `${roundTo(feed, 0.01)} V lost in the feed`,
      limit: `${LOST.feed} V`,
      basis: fromMemory('ASTM B258'),
    });
  return verdictFrom(found, { basis });
}

/** Ω between neck and tank above which a charge does not run off; common practice, no source. */
const BOND = { good: 1, bad: 10 };

/**
 * The static bond of the neck, by its ohms to the tank.
 *
 * @example judgeBond(0.4).outcome // 'good'
 */
export function judgeBond(ohms: number): Verdict {
  if (!(ohms >= 0)) throw new InputError('ohms', String(ohms), 'zero or more, leads nulled');
  const outcome = ohms <= BOND.good ? 'good' : ohms <= BOND.bad ? 'doubtful' : 'bad';
  return {
    outcome,
    reasons: [
      {
        text: outcome === 'good' ? 'the neck is bonded' : 'a charge from the nozzle does not run off the neck',
        figure: `${roundTo(ohms, 0.1)} Ω`,
        limit: `${BOND.good} Ω`,
        basis: commonPractice,
      },
    ],
    next: outcome === 'good' ? [] : ['ground strap on bright metal at neck and body; read it again'],
  };
}
