export { judgeBore } from './bore.ts';
