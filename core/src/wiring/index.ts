export {
  gaugeDiameter,
  gauges,
  groundOhms,
  judgeBond,
  judgeWire,
  lostIn,
  ohmsPerKilometre,
  type Gauge,
  type Wire,
} from './wire.ts';
export { groundOff, judgeRefill, type RefillStep } from './refill.ts';
export { bondRead, refillRead, wireJoined, wireTried, wiringSlice, type WiringSlice } from './kinds.ts';
export { JOINTS, WIRE_SEEN, type WireSeen } from './bodies.ts';
export { judgeJoined } from './joined.ts';
