import { defineKind } from '../kernel/index.ts';
import { archetypes, checkVehicle } from '../vehicle/index.ts';
import {
  ApprovalBody,
  ComplaintAgainBody,
  ComplaintTestBody,
  complaints,
  IdentityBody,
  OpenedBody,
  ShopFiguresBody,
} from './bodies.ts';
import { startingFigures } from './shop.ts';
import type { OrderSlice } from './slice.ts';

/** Opens the job. What the state then is, every slice says itself. */
export const opened = defineKind<'opened', OpenedBody, OrderSlice>({
  kind: 'opened',
  version: 1,
  Body: OpenedBody,
  check: ({ vehicle }) => checkVehicle(vehicle),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'job opened',
  arbitrary: (f) =>
    f.record({
      name: f.constant('Van'),
      complaint: f.constantFrom(...complaints),
      vehicle: f.constantFrom(...archetypes),
      gauge: f.constant(0.5),
    }),
});

/** The shop’s figures are these from now on; the server says so. */
export const shopFigures = defineKind<'shopFigures', ShopFiguresBody, OrderSlice>({
  kind: 'shopFigures',
  version: 1,
  Body: ShopFiguresBody,
  apply: (own, body, { tell }) => {
    own.shop = { ...body };
    tell('shopFigures', {});
  },
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'the shop’s figures',
  arbitrary: (f) =>
    f
      .record({ alone: f.integer({ min: 5, max: 60 }), two: f.integer({ min: 60, max: 90 }) })
      .map((k) => ({ ...startingFigures, ...k })),
});

/** Plate and mileage. */
export const identity = defineKind<'identity', IdentityBody, OrderSlice>({
  kind: 'identity',
  version: 1,
  Body: IdentityBody,
  apply: (own, body) => void (own.identity = body),
  touches: () => ({ reads: [], writes: ['identity'] }),
  words: ({ plate }) => `plate ${plate}`,
  arbitrary: (f) => f.constant({ plate: 'IS 1', mileage: 10, unit: 'km' as const }),
});

/** The test that shows the complaint. */
export const complaintTest = defineKind<'complaintTest', ComplaintTestBody, OrderSlice>({
  kind: 'complaintTest',
  version: 1,
  Body: ComplaintTestBody,
  apply: (own, body, { moment: { id, by, at } }) => void (own.complaintTest = { ...body, id, by, at }),
  touches: () => ({ reads: [], writes: ['complaintTest'] }),
  words: () => 'complaint’s test',
  arbitrary: (f) => f.constant({ test: 'volts', result: 'shown' as const }),
});

/** How much worse one result is than another. */
const grave = { passed: 0, unchanged: 1, worse: 2 } as const;

/** The same test after the work. Of two that neither knew of the other the worse one counts. */
export const complaintAgain = defineKind<'complaintAgain', ComplaintAgainBody, OrderSlice>({
  kind: 'complaintAgain',
  version: 1,
  Body: ComplaintAgainBody,
  apply: (own, body, { moment: { id, by, at, knew } }) => {
    const had = own.complaintAgain;
    if (had && !knew(had.id) && grave[had.result] >= grave[body.result] && (had.result !== body.result || had.id < id))
      return;
    own.complaintAgain = { ...body, id, by, at, after: own.partings.filter(knew) };
  },
  touches: () => ({ reads: [], writes: ['complaintAgain'] }),
  words: ({ result }) => `test again: ${result}`,
  arbitrary: (f) => f.record({ result: f.constantFrom('passed' as const, 'unchanged' as const, 'worse' as const) }),
});

/** What the owner said. */
export const approval = defineKind<'approval', ApprovalBody, OrderSlice>({
  kind: 'approval',
  version: 1,
  Body: ApprovalBody,
  apply: (own, body, { moment: { id, by, at } }) => void (own.approval = { ...body, id, by, at }),
  touches: () => ({ reads: [], writes: ['approval'] }),
  words: ({ answer }) => `owner: ${answer}`,
  arbitrary: (f) => f.constant({ answer: 'yes' as const, who: 'the owner', how: 'by telephone' }),
});
