import { kinds } from './kinds.ts';

// The greatest count and the longest word that a shop's database has room for.
const MOST = 2_147_483_647;
const text = { type: 'string', minLength: 1, maxLength: 60 } as const;
const whole = { type: 'integer', minimum: 0, maximum: MOST } as const;
const moment = { type: 'string', format: 'date-time', maxLength: 40 } as const;
const hash = { type: 'string', pattern: '^[0-9a-f]{64}$' } as const;

/**
 * JSON Schema (draft 2020-12) of a job file: what stands round the entries, and each entry with its kind. What a body holds is checked by the class
 * of its kind; here it is an object.
 *
 * @example ajv.validate(jobFileSchema, file)
 */
export const jobFileSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'A job of Iron Cradle',
  type: 'object',
  additionalProperties: false,
  required: ['format', 'version', 'job', 'shop', 'people', 'chain', 'entries'],
  properties: {
    format: { const: 'iron-cradle-job' },
    version: { const: 1 },
    job: {
      type: 'object',
      additionalProperties: false,
      required: ['id', 'number'],
      properties: { id: text, number: { type: 'integer', minimum: 1, maximum: MOST } },
    },
    shop: {
      type: 'object',
      additionalProperties: false,
      required: ['name'],
      properties: { name: { type: 'string' } },
    },
    people: { type: 'object', additionalProperties: { type: 'string' } },
    chain: {
      type: 'object',
      additionalProperties: false,
      required: ['length', 'last'],
      properties: { length: whole, last: hash },
    },
    entries: {
      type: 'array',
      minItems: 1,
      items: {
        type: 'object',
        required: ['id', 'kind', 'version', 'body', 'by', 'device', 'n', 'at', 'on', 'seq', 'received', 'hash'],
        properties: {
          id: text,
          jobId: text,
          kind: { enum: [...kinds.map(({ kind }) => kind), 'takeBack', 'settled'] },
          version: { type: 'integer', minimum: 1, maximum: MOST },
          body: { type: 'object' },
          by: text,
          device: text,
          n: whole,
          at: moment,
          on: { anyOf: [text, { type: 'null' }] },
          seq: { type: 'integer', minimum: 1, maximum: MOST },
          received: moment,
          behind: { type: 'integer', minimum: -MOST, maximum: MOST },
          said: {
            type: 'object',
            additionalProperties: false,
            required: ['by', 'at'],
            properties: { by: text, at: moment },
          },
          decided: {
            type: 'object',
            additionalProperties: false,
            required: ['outcomes', 'restedOn'],
            properties: {
              outcomes: { type: 'object', additionalProperties: { type: 'string' } },
              restedOn: { type: 'array', items: { type: 'string' } },
            },
          },
          hash,
        },
      },
    },
    seals: {
      type: 'array',
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['seq', 'hash', 'at', 'publicKey', 'signature'],
        properties: {
          seq: { type: 'integer', minimum: 1, maximum: MOST },
          hash,
          at: moment,
          publicKey: { type: 'string', maxLength: 200, contentEncoding: 'base64' },
          signature: { type: 'string', maxLength: 200, contentEncoding: 'base64' },
        },
      },
    },
    photos: { type: 'object', additionalProperties: { type: 'string', contentEncoding: 'base64' } },
  },
} as const;
