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
export { refillRead, wiringSlice, type WiringSlice } from './kinds.ts';
