import { partKinds, unitKinds } from './unitTypes.ts';
import { carriers, connectionKinds, fittings, pumpKinds, supportKinds, travels } from './types.ts';

/** The published JSON Schema (draft 2020-12) of a vehicle file. Structure only; `checkVehicle` checks the sense. */

const range = {
  type: 'object',
  required: ['lo', 'typ', 'hi'],
  properties: {
    lo: { type: 'number' },
    typ: { type: 'number' },
    hi: { type: 'number' },
    basis: {
      type: 'object',
      required: ['kind'],
      properties: {
        kind: {
          enum: [
            'published',
            'common practice',
            'from memory',
            'measured',
            'seen',
            'told',
            'guessed',
            'learned',
            'typical',
            'shop',
            'computed',
          ],
        },
        source: { type: 'string' },
        count: { type: 'integer', minimum: 1 },
      },
      additionalProperties: false,
    },
  },
  additionalProperties: false,
} as const;

const text = { type: 'string', minLength: 1, maxLength: 80 } as const;
const id = { type: 'string', pattern: '^[a-z0-9][a-z0-9-]{0,59}$' } as const;
const ids = { type: 'array', items: id, maxItems: 40 } as const;

const object = <P extends Record<string, unknown>>(properties: P, optional: (keyof P)[] = []) => ({
  type: 'object',
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
  properties,
  additionalProperties: false,
});

const list = (items: unknown, maxItems = 60) => ({ type: 'array', items, maxItems });

const way = object(
  {
    id,
    reachFrom: range,
    reachTo: range,
    minutes: range,
    people: { type: 'integer', minimum: 1, maximum: 4 },
    hands: { type: 'integer', minimum: 1, maximum: 2 },
    from: text,
    tools: list(text, 20),
    after: ids,
    while: list(object({ id, is: { enum: ['off', 'on'] } }), 40),
    joint: id,
    caution: { type: 'string', minLength: 1, maxLength: 200 },
  },
  ['while', 'joint', 'caution'],
);

const mm = { type: 'number', minimum: 0, maximum: 5000 } as const;
const above = { type: 'number', exclusiveMinimum: 0, maximum: 5000 } as const;
const pair = { type: 'array', items: mm, minItems: 2, maxItems: 2 } as const;

/** The unit in its opening, from the bottom of the tank up. */
const unit = object({
  kind: { enum: [...unitKinds] },
  parts: list(
    object(
      {
        id,
        kind: { enum: [...partKinds] },
        name: text,
        reads: object(
          {
            volts: { type: 'number', minimum: 6, maximum: 30 },
            flow: { type: 'number', exclusiveMinimum: 0, maximum: 1000 },
            bar: { type: 'number', minimum: 0, maximum: 10 },
            amps: { type: 'number', exclusiveMinimum: 0, maximum: 60 },
          },
          ['amps'],
        ),
        mates: id,
        mark: text,
        fitted: { type: 'string', minLength: 1, maxLength: 120 },
      },
      ['reads', 'mates', 'mark', 'fitted'],
    ),
    20,
  ),
});

/** The shapes a tank may have; `checkShape` checks the sense. */
const tankShapeSchema = {
  anyOf: [
    object(
      {
        kind: { const: 'box' },
        length: above,
        width: above,
        height: above,
        taper: object({ first: mm, second: mm }),
        sump: object({ x: mm, y: mm, length: above, width: above, depth: above }),
      },
      ['taper', 'sump'],
    ),
    object({ kind: { const: 'cylinder' }, length: above, width: above, height: above }),
    object({
      kind: { const: 'profile' },
      length: above,
      width: above,
      height: above,
      points: { type: 'array', items: pair, minItems: 3, maxItems: 600 },
    }),
    object({
      kind: { const: 'lobes' },
      length: above,
      width: above,
      height: above,
      over: { enum: ['x', 'y'] },
      hump: object({ from: mm, to: mm, height: above, slope: mm }),
    }),
    object({
      kind: { const: 'table' },
      length: above,
      width: above,
      height: above,
      rows: { type: 'array', items: pair, minItems: 2, maxItems: 600 },
    }),
  ],
} as const;

const connection = object(
  {
    id,
    kind: { enum: connectionKinds },
    name: text,
    x: { type: 'number', minimum: 0 },
    side: text,
    seenFrom: text,
    slack: range,
    visibleFrom: range,
    lookMinutes: { type: 'number', minimum: 0 },
    fitting: { enum: fittings },
    wetWhenOpen: { type: 'boolean' },
    clips: list(object({ id, name: text, slack: range, ways: list(way) }, ['name'])),
    part: list(way),
    make: list(way),
  },
  ['seenFrom'],
);

const variants = list(
  object({ id, look: text, choices: list(object({ label: text, without: ids }), 6), usual: text }, ['usual']),
  24,
);
const people = { type: 'integer', minimum: 1, maximum: 4 } as const;
const fuelSystem = object(
  {
    pump: { enum: pumpKinds },
    place: { enum: ['tank', 'outside', 'both'] },
    sealed: { type: 'boolean' },
    oil: { type: 'boolean' },
    engine: object({ kilowatts: range, bar: range, returns: range }, ['kilowatts', 'bar', 'returns']),
  },
  ['place', 'sealed', 'oil', 'engine'],
);
const sender = object(
  {
    emptyOhms: range,
    fullOhms: range,
    curve: list(object({ mm, ohms: { type: 'number', minimum: 0 } }), 200),
    family: text,
  },
  ['curve', 'family'],
);
const seen = {
  type: 'object',
  propertyNames: { maxLength: 80 },
  additionalProperties: { type: 'array', items: { type: 'number', minimum: 0 }, maxItems: 60 },
};

/** A vehicle file as JSON Schema 2020-12, published with the product. @example ajv.compile(vehicleSchema) */
export const vehicleSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Iron Cradle vehicle file, version 1',
  description: 'Lengths mm, masses kg, volumes L, times minutes, torque N·m. Every range is lo ≤ typ ≤ hi.',
  ...object(
    {
      schemaVersion: { const: 1 },
      id,
      name: text,
      mounting: { enum: ['rail', 'seat', 'crosswise', 'upright', 'wing', 'floor', 'pads'] },
      basis: range.properties.basis.properties.kind,
      ends: { type: 'array', items: text, minItems: 2, maxItems: 2 },
      length: { type: 'number', exclusiveMinimum: 0 },
      clear: { type: 'number', exclusiveMinimum: 0, multipleOf: 5 },
      tiltLimit: { type: 'number', minimum: 0 },
      tank: object(
        {
          material: { enum: ['plastic', 'steel'] },
          shape: tankShapeSchema,
          shapeBasis: range.properties.basis.properties.kind,
          litres: range,
          emptyMass: range,
          unusable: range,
          holdMost: { type: 'number', minimum: 100, maximum: 20000 },
          outlet: { anyOf: [object({ x: mm, y: mm, z: mm }), { type: 'null' }] },
          sealed: { type: 'boolean' },
        },
        ['outlet', 'sealed', 'shapeBasis', 'holdMost'],
      ),
      travel: { enum: travels },
      carriedBy: object({ by: list({ enum: carriers }, 6), people, whenSupportsLetGo: people }),
      fuel: { enum: ['petrol', 'e85', 'ethanol', 'diesel', 'biodiesel'] },
      fuelSystem,
      feed: { enum: ['injected', 'carburettor'] },
      connections: list(connection),
      supports: list(
        object({ id, kind: { enum: supportKinds }, name: text, x: mm, fastener: id, off: list(way), on: list(way) }, [
          'off',
          'on',
        ]),
      ),
      obstructions: list(
        object({
          id,
          name: text,
          x: { type: 'number' },
          travelsWithTank: { type: 'boolean' },
          blocksAt: { anyOf: [range, { type: 'null' }] },
          clear: list(way),
          restore: list(way),
        }),
      ),
      fasteners: list(
        object(
          {
            id,
            thread: text,
            count: { type: 'integer', minimum: 1 },
            likelyToBreak: { type: 'boolean' },
            torque: { anyOf: [range, { type: 'null' }] },
            hex: text,
            counter: text,
          },
          ['hex', 'counter'],
        ),
      ),
      sender: { anyOf: [{ type: 'null' }, sender] },
      unit,
      notes: list({ type: 'string', maxLength: 400 }),
      variants,
      seen,
    },
    ['variants', 'seen', 'travel', 'carriedBy', 'fuelSystem', 'feed', 'unit'],
  ),
} as const;
