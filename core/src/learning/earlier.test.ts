import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, checkVehicle, type VehicleFile } from '../vehicle/index.ts';
import { handsBefore, keptFigures, lengthBefore, pulledBefore, withKept } from './index.ts';

const rail = archetypes[0]!;
const strap = rail.supports[0]!;

/** The file after one more job on which its strap was pulled to this, and hands were on it so long. */
const after = (file: VehicleFile, nm: number, ...hands: (readonly [string, number])[]): VehicleFile => {
  const job = tell({ complaint: 'hose', vehicle: file });
  job.say('torque', { key: `support:${strap.id}`, asWritten: `${nm} N·m`, lo: nm, hi: nm });
  const on = hands.map(([by, minutes]) => ({ by, name: by, minutes }));
  return withKept(file, keptFigures(job.state, file, { hands: on, where: 'lift' }), {});
};

describe('what jobs before came to, as the next one reads it', () => {
  test('a file nobody worked from says nothing', () => {
    expect([pulledBefore(rail, strap.fastener), lengthBefore(rail, 'vent'), handsBefore(rail)]).toEqual([
      null,
      null,
      [],
    ]);
  });
  test('pulled once, then from the least to the most, with the count; in the units of who reads', () => {
    const once = after(rail, 41);
    expect(inWords(pulledBefore(once, strap.fastener)!.text)).toBe('pulled to 41 N·m on the job before');
    const twice = pulledBefore(after(once, 38), strap.fastener)!;
    expect(inWords(twice.text)).toBe('pulled to 38–41 N·m on 2 jobs before');
    expect(twice.basis).toEqual({ kind: 'learned', count: 2 });
    // 38 and 41 N·m ÷ 1.3558 N·m to the ft-lb: 28.0 and 30.2.
    expect(inWords(twice.text, 'us')).toBe('pulled to 28–30 ft-lb on 2 jobs before');
  });
  test('hands of all, and of each by id; lift and floor apart', () => {
    const file = after(after(rail, 41, ['ines', 100], ['marek', 45]), 41, ['ines', 160]);
    const [lift, floor] = handsBefore(file);
    expect(floor).toBeUndefined();
    expect(lift!.text).toBe('145–160 min on the lift on 2 jobs before');
    expect(lift!.people.map(({ person, text }) => [person, text])).toEqual([
      ['ines', '100–160 min on 2 jobs before'],
      ['marek', '45 min on the job before'],
    ]);
  });
  test('the file stays one that is taken, however many jobs taught it: the newest sixty count', () => {
    let file = rail;
    for (let nm = 1; nm <= 61; nm++) file = after(file, nm);
    expect(() => checkVehicle(file)).not.toThrow();
    expect(inWords(pulledBefore(file, strap.fastener)!.text)).toBe('pulled to 2–61 N·m on 60 jobs before');
  });
});
