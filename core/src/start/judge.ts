import { commonPractice, computed } from '../basis/index.ts';
import { feedsCarburettor, wantedBar } from '../pump/index.ts';
import { bar as inBar, say } from '../quantity/index.ts';
import { isElectric, pumpOf, type PumpKind, type VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import type { StartedBody } from './bodies.ts';

/** Volts of a battery at rest: from here it is charged, under there it is flat. Common practice, no source. */
const BATTERY = { good: 12.4, flat: 12 };
/** A pressure within so much of what is asked for is as asked; common practice, no source. */
const NEAR = 0.1;
/** It may fall by this share within the minutes it was watched; common practice, no source. */
const HOLDS = 0.2;
/** s of cranking that are usual once it is primed; a line that was empty takes longer. Common practice, no source. */
const CRANKS = { electric: 5, drawn: 30 };

/** Where to look first when it does not start or dies. Common practice, no source. */
function whereFirst(pump: PumpKind): string {
  if (pump === 'mechanical')
    return 'its line is empty: hand primer, or crank in turns of 15 s with rests; then feed and return on their own ports?';
  if (pump === 'none') return 'tap open, bowl full? then feed on its own port';
  if (pump === 'dieselSuction')
    return 'air in it: bleed at filter and injection pump as its service information says, feed on its own port';
  return 'does the pump hum as the key goes on? Fuse, relay, its plug; then feed and return on their own ports, fuel over its pick-up';
}

/**
 * The first start: battery, prime, what it runs at, what stays after it stops, how long it cranked. What the file does not say is held against
 * what is usual for this pump, and then never more than doubtful.
 *
 * @example judgeStart({ ran: 'no' }, file).outcome // 'bad'
 */
export function judgeStart(start: StartedBody, file: VehicleFile): Verdict {
  const pump = pumpOf(file);
  const found: Found[] = [
    start.ran === 'ran'
      ? { outcome: 'good', text: 'it starts and runs' }
      : {
          outcome: 'bad',
          text: start.ran === 'no' ? 'it does not start' : 'it starts and dies',
          next: whereFirst(pump),
        },
    ...battery(start),
    ...pressures(start, file),
    ...cranked(start, pump),
  ];
  return verdictFrom(found, { basis: commonPractice });
}

function battery({ volts }: StartedBody): Found[] {
  if (volts === undefined) return [];
  const at = { figure: `${volts.toFixed(1)} V`, limit: `${BATTERY.good} V at rest` };
  if (volts >= BATTERY.good) return [{ outcome: 'good', text: 'battery charged', ...at }];
  const flat = volts < BATTERY.flat;
  return [
    {
      outcome: flat ? 'bad' : 'doubtful',
      text: flat ? 'battery flat: a pump on it looks weak' : 'battery half charged',
      ...at,
      next: 'charge it before anything is read from a pump',
    },
  ];
}

function pressures({ primed, bar, stopped }: StartedBody, file: VehicleFile): Found[] {
  const wanted = wantedBar(file);
  const basis = wanted?.filed ? computed('the vehicle’s file') : commonPractice;
  const against = (value: number, name: string): Found[] => {
    if (!wanted)
      return [
        {
          outcome: 'unknown',
          text: `${name}: nobody knows what this engine asks`,
          figure: say`${inBar(value)}`,
          next: 'its service information',
        },
      ];
    const figure = say`${inBar(value)}`;
    const limit = say`${inBar(wanted.lo, wanted.hi)}`;
    // What is only usual is never a limit.
    const off = wanted.filed ? 'bad' : 'doubtful';
    if (value < wanted.lo * (1 - NEAR))
      return [
        {
          outcome: off,
          text: `${name}: too little`,
          figure,
          limit,
          basis,
          next: 'volts at its plug while it runs; filter; a hose inside that slipped',
        },
      ];
    if (value > wanted.hi * (1 + NEAR))
      return [
        {
          outcome: feedsCarburettor(file) ? 'bad' : off,
          text: `${name}: too much`,
          figure,
          limit,
          basis,
          next: 'is the return free, and on its own port? Then the regulator',
        },
      ];
    return [{ outcome: 'good', text: `${name}: as this engine asks`, figure, limit, basis }];
  };
  const before = bar ?? primed;
  const fell = stopped !== undefined && before !== undefined && before > 0 && stopped < before * (1 - HOLDS);
  return [
    ...(primed === undefined ? [] : against(primed, 'after priming')),
    ...(bar === undefined ? [] : against(bar, 'running')),
    ...(stopped === undefined || before === undefined
      ? []
      : fell
        ? [
            {
              outcome: 'doubtful' as const,
              text: 'pressure falls after it stops: check valve, injector, regulator, or a joint',
              figure: say`${inBar(stopped)}`,
              limit: say`${inBar(before * (1 - HOLDS))}`,
              next: 'look at every joint once more; then clamp feed and return in turn',
            },
          ]
        : [{ outcome: 'good' as const, text: 'pressure stays after it stops', figure: say`${inBar(stopped)}` }]),
  ];
}

function cranked({ seconds, ran }: StartedBody, pump: PumpKind): Found[] {
  if (seconds === undefined || ran === 'no') return [];
  const usual = isElectric(pump) ? CRANKS.electric : CRANKS.drawn;
  const figure = `${Math.round(seconds)} s`;
  if (seconds <= usual) return [{ outcome: 'good', text: 'it starts as usual', figure, limit: `${usual} s` }];
  return [
    {
      outcome: 'doubtful',
      text: 'it cranked long',
      figure,
      limit: `${usual} s`,
      next: 'start it once more after ten minutes: long again, it draws air or drains back',
    },
  ];
}

/**
 * Fault codes before and after: what is new was made by this job until shown otherwise.
 *
 * @param before null: nobody read them
 * @example judgeCodes({ before: [], after: ['P0455'] }).outcome // 'bad'
 */
export function judgeCodes({
  before,
  after,
}: {
  before: readonly string[] | null;
  after: readonly string[] | null;
}): Verdict {
  const found = ((): Found => {
    if (!after)
      return { outcome: 'unknown', text: 'codes were not read after the work', next: 'read them after a drive' };
    if (after.length === 0) return { outcome: 'good', text: 'no code after the work' };
    if (!before)
      return {
        outcome: 'unknown',
        text: `${after.join(', ')}: nobody read them before, so nobody knows which are new`,
        next: 'clear them, drive, read them again',
      };
    const fresh = after.filter((code) => !before.includes(code));
    if (fresh.length > 0)
      return {
        outcome: 'bad',
        text: `new since the work: ${fresh.join(', ')}`,
        next: 'plug, vent, cap and what was parted near them; clear, drive, read again',
      };
    return { outcome: 'doubtful', text: `as before: ${after.join(', ')}`, next: 'clear them, drive, read them again' };
  })();
  return verdictFrom([found], { basis: commonPractice });
}
