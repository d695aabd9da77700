export { changed, type Change } from './change.ts';
export { outlook, minutesAhead, type Outlook } from './outlook.ts';
export { asks, type Asked } from './asks.ts';
export { stuck, type Stuck, type Left } from './stuck.ts';
export { remedies, type Remedy, type RemedyOptions } from './remedies.ts';
export { whatMatters, type Matter } from './matters.ts';
export { foresee, type Foresight, type Way } from './foresee.ts';
