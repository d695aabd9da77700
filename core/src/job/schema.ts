import { kinds } from './kinds.ts';

const text = { type: 'string', minLength: 1, maxLength: 64 } as const;
const whole = { type: 'integer', minimum: 0 } as const;
const moment = { type: 'string', format: 'date-time' } as const;
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
      properties: { id: text, number: { type: 'integer', minimum: 1 } },
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
          version: { type: 'integer', minimum: 1 },
          body: { type: 'object' },
          by: text,
          device: text,
          n: whole,
          at: moment,
          on: { anyOf: [text, { type: 'null' }] },
          seq: { type: 'integer', minimum: 1 },
          received: moment,
          behind: { type: 'integer' },
          hash,
        },
      },
    },
    photos: { type: 'object', additionalProperties: { type: 'string', contentEncoding: 'base64' } },
  },
} as const;
