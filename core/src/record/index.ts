export { readCode, recordCode, tagCode, type PaperCode } from './code.ts';
export { ownersPage } from './plain.ts';
export { recordOf, type JobRecord } from './recordOf.ts';
export { recordSections, sectionsFirst } from './sections.ts';
export { cellText, type RecordCell, type RecordSection, type RecordTable } from './table.ts';
export {
  fuelTable,
  handsOn,
  hoursTable,
  jointsTable,
  partsTable,
  readingsTable,
  torquesTable,
  type HandsOn,
} from './tables.ts';
export { photoLetters, photoList, type PhotoLine } from './photos.ts';
