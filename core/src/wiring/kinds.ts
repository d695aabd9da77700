import { IsBoolean, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import { fuelOf, type FuelFacts, type FuelSlice } from '../tank/index.ts';
import { judgeRefill, type RefillStep } from './refill.ts';

/** Needle, scan tool and ohms at one step of the refill; what was not read is left out. */
export class RefillReadBody {
  /** Share of the needle, 0 empty to 1 full. */
  @IsOptional() @IsNumber() @Min(0) @Max(1) needle?: number;
  /** % by the scan tool. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) scan?: number;
  /** Ω across the sender, its plug off. */
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) ohms?: number;
  /** The meter showed nothing. */
  @IsOptional() @IsBoolean() open?: boolean;
}

/** What was read while it was filled. */
export interface WiringSlice {
  /** Step by step, oldest first. */
  refill: readonly (RefillStep & Stamp)[];
}

type Facts = WiringSlice & FuelSlice & FuelFacts;

/** Holds what needle, scan tool and ohms said step by step; off is owed until it follows. */
export const wiringSlice = defineSlice<WiringSlice, Facts>({
  name: 'wiring',
  start: () => ({ refill: [] }),
  owes: ({ refill, vehicle }): Debt[] => {
    const { outcome, reasons } = judgeRefill(refill, vehicle);
    return outcome === 'bad'
      ? [{ id: `refill:${refill.at(-1)!.id}`, key: 'refill', text: say`needle: ${reasons[0]?.text ?? ''}` }]
      : [];
  },
  record: ({ refill, vehicle }): RecordLine[] => {
    if (refill.length === 0) return [];
    const { reasons } = judgeRefill(refill, vehicle);
    const { by, at } = refill.at(-1)!;
    return reasons.map(({ text, figure }) => ({
      under: 'proof',
      text: say`needle after the fill: ${text}${figure ? say`, ${figure}` : ''}`,
      by,
      at,
    }));
  },
});

/** Needle, scan tool and ohms are read at a step of the refill. */
export const refillRead = defineKind<'refillRead', RefillReadBody, WiringSlice, Facts>({
  kind: 'refillRead',
  version: 1,
  Body: RefillReadBody,
  check: ({ needle, scan, ohms, open }) => {
    if (needle === undefined && scan === undefined && ohms === undefined && open !== true)
      throw new InputError('body.needle', '', 'one reading at least: needle, scan tool, or ohms at the plug');
    if (ohms !== undefined && open === true) throw new InputError('body.open', 'open', `nothing beside ${ohms} Ω`);
  },
  apply: (own, { needle, scan, ohms, open }, { moment: { id, by, at }, facts }) => {
    const { lo, typ, hi } = fuelOf(facts).aboard;
    own.refill.push(castDraft({ aboard: { lo, typ, hi }, needle, scan, ohms: open ? null : ohms, id, by, at }));
  },
  touches: () => ({ reads: ['fuel'], writes: ['refill'] }),
  words: () => 'needle read after a fill',
  arbitrary: (f) => f.record({ needle: f.constantFrom(0.2, 0.5, 0.9) }),
});
