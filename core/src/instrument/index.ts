export { readInstrument } from './read.ts';
export { BLEEDING } from './now.ts';
export { instruments, type Channel, type Instrument, type InstrumentKind, type Reading } from './types.ts';
export { OfferedLine, ReadingLine, readingOf, servedBy, SourceBody } from './source.ts';
