import { Ajv2020, type AnySchemaObject, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import { InputError } from '@iron-cradle/core';

const ajv = new Ajv2020({
  strict: false,
  formats: { 'date-time': (text: string) => !Number.isNaN(Date.parse(text)) },
});

/** Where the first thing is wrong, as one would write it: `entries[3].at`. */
const placeOf = ({ instancePath, params }: ErrorObject): string =>
  instancePath
    .split('/')
    .slice(1)
    .concat((params as { missingProperty?: string }).missingProperty ?? [])
    .map((part) => (/^\d+$/.test(part) ? `[${part}]` : `.${part}`))
    .join('')
    .replace(/^\./, '');

const valueAt = (document: unknown, path: string): unknown =>
  path
    .split('/')
    .slice(1)
    .reduce<unknown>((at, part) => (at as Record<string, unknown> | undefined)?.[part], document);

/**
 * A reader of documents by their published schema (JSON Schema 2020-12), made ready at its first use.
 *
 * @param prefix what the document is called in front of its fields; left out, they stand alone
 * @returns throws InputError with the path of the first thing that is wrong
 * @example bySchema<VehicleFile>(vehicleSchema, 'vehicle')(document)
 */
export function bySchema<T>(schema: AnySchemaObject, prefix = ''): (document: unknown) => T {
  let fits: ValidateFunction<T> | null = null;
  return (document) => {
    fits ??= ajv.compile<T>(schema);
    if (fits(document)) return document;
    const first = fits.errors![0]!;
    const place = placeOf(first);
    const found = valueAt(document, first.instancePath);
    throw new InputError(
      [prefix, place].filter(Boolean).join(place.startsWith('[') ? '' : '.') || 'body',
      typeof found === 'object' ? '' : String(found).slice(0, 60),
      first.message ?? 'a document of its schema',
    );
  };
}
