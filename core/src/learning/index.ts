export { lessons, rangeFrom, taught, type Lesson } from './lessons.ts';
