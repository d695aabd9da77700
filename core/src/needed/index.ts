export { couldStop, type CouldStop } from './couldStop.ts';
export { HERE, KIT, neededFor, ruleWord, type Needed, type NeededRule } from './list.ts';
export { onceOrder } from './once.ts';
