export { asks, type Asked } from './asks.ts';
export { changed, type Change } from './change.ts';
export { foresee, type Foresight, type Way } from './foresee.ts';
export { whatMatters, type Matter } from './matters.ts';
export { minutesAhead, outlook, type Outlook } from './outlook.ts';
export { remedies, type Remedy, type RemedyOptions } from './remedies.ts';
export { stuck, type Left, type Stuck } from './stuck.ts';
