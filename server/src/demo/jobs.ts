import { answerOf, archetypes, jointsLeft, openEnds, SAMPLE, type Entry, present } from '@iron-cradle/core';
import { Story } from './story.ts';
import { demoVehicles } from './vehicles.ts';

const file = (id: string) =>
  present(
    [...demoVehicles, ...archetypes].find((v) => v.id === id),
    'vehicle',
    id,
  );

/** Five minutes at home over what was put in, read each second with a thermometer on the tank; it hardly falls. */
const heldTight = {
  where: 'home' as const,
  readings: Array.from({ length: 300 }, (_, i): [number, number] => [i, Math.round((58.2 - 0.001 * i) ** 2)]),
  step: 12,
  celsius: 17,
  ends: 17,
  height: 10,
  hole: '0.020' as const,
  aired: false,
  settled: true,
};

/** At least one job in each part of the way, each with something to discover. */
export function demoJobs(now: Date): Entry[][] {
  const ago = (hours: number) => new Date(now.getTime() - hours * 3_600_000);

  const van4 = new Story('demo-van-4', ago(1.6))
    .log('opened', { name: 'Van 4', complaint: 'pump', bay: 1, vehicle: file('van-4'), gauge: 0.5 })
    .log(
      'complaintTest',
      {
        test: 'volts and ground drop at the pump plug, under load',
        result: 'shown',
        words: '12.1 V, ground drop 0.06 V: the pump is weak, not its feed',
      },
      8,
    )
    .log('wait', { what: 'strap studs and nuts', state: 'start', minutes: 120 }, 1)
    .safe()
    .drainTo([18.5, 18])
    .down(2);

  const minibus = new Story('demo-minibus', ago(2.4), 'bo')
    .log('opened', { name: 'Minibus', complaint: 'level', bay: 2, vehicle: file('minibus') })
    .log(
      'complaintTest',
      {
        test: 'sender ohms at the plug, against the needle',
        result: 'shown',
        words: 'open between two fifths and half',
      },
      8,
    )
    .log('driverSaw', { saw: 'jumps', where: 0.5 }, 1)
    .log('fuelWitness', { witness: 'sinceEmpty', reading: 30 }, 2)
    .safe()
    .drainTo([18, 10])
    .down(2)
    .log('surprise', { what: 'holds', key: 'line:heater', lets: 45 }, 2);
  minibus.log(
    'stopDone',
    {
      to: { f: 45, r: 45 },
      off: [],
      capped: [],
      look: { asked: true, tight: ['heater'], nearly: [], allFist: false, reachable: [] },
      notDone: [],
    },
    4,
  );
  minibus.log('surprise', { what: 'holds', key: 'line:heater', lets: 45 }, 1);

  const pickup = new Story('demo-pickup-2', ago(50))
    .log('opened', { name: 'Pickup 2', complaint: 'rust', vehicle: file('pickup-2'), gauge: 0.25 })
    .log(
      'complaintTest',
      {
        test: 'probe what holds it, seams and the top edge with a blunt tool, light from the side',
        result: 'shown',
        words: 'blunt tool through the front seam',
      },
      6,
    )
    .safe()
    .drainTo([14])
    .down()
    .log(
      'finding',
      {
        what: 'rust that comes off in flakes',
        where: 'inside',
        verdict: 'bad',
        note: 'on the floor at the front; chips in the strainer',
      },
      10,
    )
    .log('finding', { what: 'thinned, in layers', where: 'straps', verdict: 'bad' }, 3)
    .log('finding', { what: 'one missing', where: 'pads', verdict: 'bad' }, 1);
  pickup
    .log('proposed', {
      why: 'mend',
      what: 'rust that comes off in flakes',
      where: 'inside',
      remedy: 'sendOut',
      price: 190,
      minutes: 30,
    })
    .log('proposed', {
      why: 'mend',
      what: 'thinned, in layers',
      where: 'straps',
      remedy: 'replace',
      price: 46,
      minutes: 30,
    })
    .log('proposed', {
      why: 'whileDown',
      what: 'all rubber from tank to engine',
      price: 38,
      dropLo: 160,
      dropHi: 310,
    })
    .log('capped', { keys: openEnds(pickup.state).map(({ key }) => key) })
    .log('wait', { what: 'owner decides', state: 'start', bay: false })
    .log('parked', { reason: 'owner decides: the tank shop, or another tank' }, 5);

  const saloon = new Story('demo-saloon', ago(30))
    .log('opened', {
      name: 'Saloon',
      complaint: 'hose',
      vehicle: { ...file('archetype-crosswise'), name: 'Saloon, salt air' },
      gauge: 0.25,
    })
    .log(
      'complaintTest',
      {
        test: 'smell and look along every hose from neck to canister, cap on and off',
        result: 'shown',
        words: 'vent hose split at the tank end, wrong grade',
      },
      9,
    )
    .safe()
    .drainTo([11])
    .down()
    .log(
      'finding',
      {
        what: 'vent hose of the wrong grade, split',
        where: 'tank end',
        verdict: 'bad',
        note: 'replaced by the length',
      },
      10,
    )
    .log('replaced', { key: 'line:vent', words: 'low-permeation grade, 320 mm' }, 4)
    .log(
      'finding',
      { what: 'vent hose of the wrong grade, split', where: 'tank end', verdict: 'good', note: 'new hose on' },
      2,
    )
    .gate(3, { tests: 'none', seal: 'closed' })
    .up();
  for (const key of saloon.state.items.filter((i) => i.kind === 'support').map((i) => i.key))
    saloon.log('torque', { key, asWritten: '41 N·m', lo: 41, hi: 41 }, 2);
  saloon.log('fill', { litres: 9, from: 'cans' }, 4).log('fuelMoved', { what: 'disposed', litres: 2 }, 2);
  saloon.log('held', heldTight, 8);
  // What nine litres do not wet was behind the hold.
  for (const key of jointsLeft(saloon.state))
    saloon.log('jointSeen', { key, seen: 'dry', checks: ['wiped', 'wet'] }, 1);
  saloon
    .log('engineStarted', { ran: 'ran', volts: 12.5, seconds: 3 }, 3)
    .log('complaintAgain', { result: 'passed', words: 'no smell, cap on and off' }, 12)
    .log('identity', { plate: 'IS 204', mileage: 148_210, unit: 'km' }, 1)
    .log('signed', {}, 2);

  const van9 = new Story('demo-van-9', ago(0.6), 'bo')
    .log('opened', {
      name: 'Van 9',
      complaint: 'leak',
      vehicle: { ...file('archetype-rail'), name: 'Van 9, nobody measured it' },
      gauge: 0.75,
    })
    .log(
      'complaintTest',
      {
        test: 'wipe dry, run, and look where the first drop stands',
        result: 'shown',
        words: 'first drop at the front seam',
      },
      9,
    )
    .log('gateItem', { gate: 1, item: 'air', answer: 'yes' }, 1)
    .log('gateItem', { gate: 1, item: 'heat', answer: 'yes' }, 1)
    .log('pressure', { reading: 40 }, 4);

  const pickup5 = new Story('demo-pickup-5', ago(3), 'bo')
    .log('opened', {
      name: 'Pickup 5',
      complaint: 'badFuel',
      vehicle: { ...file('archetype-rail'), name: 'Pickup 5, nobody measured it', fuel: 'diesel' },
      gauge: 0.25,
    })
    .log(
      'complaintTest',
      {
        test: 'sample in glass beside a clean one, ten minutes standing',
        result: 'shown',
        words: 'dark threads where water meets fuel',
      },
      12,
    )
    .log('suspected', { cause: 'slime', who: 'the driver: it fades uphill and comes back after standing' }, 1)
    .safe()
    .drainTo([13, 8], false)
    .log('answer', answerOf(SAMPLE, 'slime'), 10)
    .log('sampleKept', { of: 'tank', sealed: true, with: 'the shop, cold shelf' }, 2)
    .down();

  const pickup7 = new Story('demo-pickup-7', ago(26))
    .log('opened', {
      name: 'Pickup 7',
      complaint: 'biggerTank',
      vehicle: { ...file('archetype-rail'), name: 'Pickup 7, the long tank', fuel: 'diesel' },
      gauge: 0.25,
    })
    .log(
      'complaintTest',
      {
        test: 'new tank against old: ports, supports, length, ohms',
        result: 'shown',
        words: 'longer by 180 mm; no port for the return seen yet',
      },
      15,
    )
    .safe()
    .drainTo([17])
    .down()
    .log('wait', { what: 'part on order', state: 'start', until: ago(-72).toISOString(), bay: false }, 4);

  // Two tablets out of the network's reach: each went on from the same stop, neither knew of the other.
  const van12 = new Story('demo-van-12', ago(2))
    .log('opened', {
      name: 'Van 12',
      complaint: 'pump',
      vehicle: { ...file('archetype-crosswise'), name: 'Van 12, nobody measured it' },
      gauge: 0.5,
    })
    .log(
      'complaintTest',
      {
        test: 'volts and ground drop at the pump plug, under load',
        result: 'shown',
        words: '12.2 V, ground drop 0.05 V: the pump is weak, not its feed',
      },
      8,
    )
    .safe()
    .drainTo([18])
    .down(1);
  const parted = van12.entries.at(-1)!.id;
  van12
    .down(1)
    .log('container', { number: 2, capacity: 20, litres: 3, clean: true }, 4)
    .away('bo', 'yard-tablet', parted)
    .log('moved', { to: { f: 80, r: 80 }, why: 'lowered' }, 1)
    .log('container', { number: 2, capacity: 20, litres: 4.5, clean: false }, 3);

  return [van4, minibus, pickup, saloon, van9, pickup5, pickup7, van12].map((story) => story.entries);
}
