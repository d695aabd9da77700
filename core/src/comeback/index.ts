export { comeback, SHOWS, type Show, type Suspect } from './rank.ts';
