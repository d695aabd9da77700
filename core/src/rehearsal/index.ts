export { seeded } from './random.ts';
export { truthInside, truthOutside, withSnag, randomVehicle, type Truth } from './truth.ts';
export { answer, realHands, type Hands, type Observation } from './answer.ts';
export { descend, logWriter, type Descent, type RehearsalOptions } from './descend.ts';
export { blind, type Blind } from './blind.ts';
