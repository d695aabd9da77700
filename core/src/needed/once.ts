import { byJack, isElectric, pumpOf, travelWords, type VehicleFile } from '../vehicle/index.ts';

interface OnceStep {
  what: string;
  why: string;
}

/**
 * What is toggled (wheel, lift, battery) put in one order, so that each is done once. Common practice, no source.
 *
 * @example onceOrder(state, true).map((s) => s.what) // ['pump, scan tool, windows: all that needs the battery', …]
 */
export function onceOrder(state: { vehicle: VehicleFile }, ownPump: boolean): OnceStep[] {
  const { vehicle } = state;
  const ways = [
    ...vehicle.connections.flatMap((c) =>
      [...c.part, ...c.make].map((w) => ({ name: c.name, from: w.from, tools: w.tools })),
    ),
    ...vehicle.obstructions.flatMap((o) =>
      [...o.clear, ...o.restore].map((w) => ({ name: o.name, from: w.from, tools: w.tools })),
    ),
  ];
  const throughWheel = [
    ...new Set(
      ways
        .filter((w) => /wheel|arch|liner/.test(`${w.from} ${w.tools.join(' ')} ${w.name}`) && !/spare/.test(w.name))
        .map((w) => w.name),
    ),
  ];
  const wheel = throughWheel.length > 0 || vehicle.mounting === 'wing';
  const back = vehicle.obstructions.filter((o) => o.blocksAt).map((o) => o.name);
  const steps: OnceStep[] = [];
  if (wheel)
    steps.push({ what: 'crack the wheel nuts on the ground', why: 'in the air the wheel turns and the vehicle rocks' });
  if (byJack(vehicle))
    steps.push({ what: 'up on the lift or stands, chocked', why: 'once, and high enough for the way the tank leaves' });
  if (wheel)
    steps.push({
      what: `wheel off, once: ${[...throughWheel, 'liner'].slice(0, 3).join(', ')}`,
      why: 'it stays off until the last thing behind it is back',
    });
  const electric = isElectric(pumpOf(vehicle));
  if (electric)
    steps.push({
      what: ownPump
        ? 'with the battery on: quick tests, pressure, its own pump'
        : 'with the battery on: quick tests, pressure',
      why: 'pump, scan tool and windows need it',
    });
  steps.push({ what: 'battery negative off, key out', why: 'before the supports come off' });
  if (back.length > 0)
    steps.push({ what: `clear once: ${back.join(', ')}`, why: 'before the first stop that meets them' });
  steps.push(
    byJack(vehicle)
      ? {
          what: `${travelWords(vehicle).off}, bench, back to the test stop`,
          why: 'the supports come off last and go on first',
        }
      : { what: 'out, bench, home and on its supports', why: 'nobody holds a tank while a key turns' },
  );
  steps.push({
    what: byJack(vehicle) ? 'battery on at the test stop, and it stays on' : 'battery on for the test, at home',
    why: electric ? 'gauge, pump and joints are looked at while they can be' : 'the gauge is looked at; primed by hand',
  });
  if (back.length > 0)
    steps.push({ what: `back once: ${back.slice().reverse().join(', ')}`, why: 'with their torque and their wires' });
  if (wheel)
    steps.push({
      what: 'wheel on, nuts by torque on the ground',
      why: 'what can only be reached through the arch is closed by now',
    });
  return steps;
}
