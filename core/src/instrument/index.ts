export { readInstrument } from './read.ts';
export { BLEEDING, hiddenTruth, nowOf, type HiddenTruth, type Now } from './truth.ts';
export { instruments, type Channel, type Instrument, type InstrumentKind, type Reading } from './types.ts';
