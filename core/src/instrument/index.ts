export { readInstrument } from './read.ts';
export { BLEEDING } from './now.ts';
export { instruments, type Instrument, type InstrumentKind, type Reading } from './types.ts';
