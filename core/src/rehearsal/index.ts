export { answer, realHands, type Hands, type Observation } from './answer.ts';
export { blind, type Blind } from './blind.ts';
export { descend, type Descent, type RehearsalOptions } from './descend.ts';
export { seeded } from './random.ts';
export { randomVehicle, truthInside, truthOutside, withSnag, type Truth } from './truth.ts';
