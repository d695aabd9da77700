import type { JobFile } from '../job/index.ts';

const [MINUTE, HOUR, DAY] = [60, 3_600, 86_400];

/** How long, in words: the largest unit it fills twice. */
const long = (seconds: number): string => {
  const [unit, name] = seconds >= 2 * DAY ? [DAY, 'days'] : seconds >= 2 * HOUR ? [HOUR, 'hours'] : [MINUTE, 'minutes'];
  return `${Math.round(seconds / (unit as number))} ${name as string}`;
};

/**
 * Devices whose clock was off when they delivered, and by how much at the most: the record shows times as they were made.
 *
 * @example clocksOff(file) // ['Device 85c5: its clock was 10 days ahead of the shop’s.']
 */
export function clocksOff({ entries }: Pick<JobFile, 'entries'>): string[] {
  const most = new Map<string, number>();
  for (const { device, behind } of entries)
    if (behind !== undefined && Math.abs(behind) > Math.abs(most.get(device) ?? 0)) most.set(device, behind);
  return [...most].map(
    ([device, behind]) =>
      `Device ${device.slice(0, 4)}: its clock was ${long(Math.abs(behind))} ${behind > 0 ? 'behind' : 'ahead of'} the shop’s.`,
  );
}
