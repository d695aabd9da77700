export { lessons, taught, type Lesson } from './lessons.ts';
