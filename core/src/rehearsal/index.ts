export { answer } from './answer.ts';
export { descend } from './descend.ts';
export { seeded } from './random.ts';
export { randomVehicle, truthInside } from './truth.ts';
