export { randomVehicle, seeded, truthInside } from '../truth/index.ts';
export { answer } from './answer.ts';
export { descend } from './descend.ts';
