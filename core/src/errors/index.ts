/**
 * Bad input, said so that the person can mend it.
 *
 * `field` is the path of what was wrong, `found` what stood there, `expected` what would have been right.
 *
 * @example throw new InputError('fuel.litres', '-3', 'zero or more litres');
 */
export class InputError extends Error {
  override readonly name = 'InputError';

  constructor(
    readonly field: string,
    readonly found: string,
    readonly expected: string,
  ) {
    super(`${field}: expected ${expected}, found ${found === '' ? 'nothing' : `“${found}”`}`);
  }
}

/**
 * What was looked for, where it has to be: an id that leads nowhere is said with what it is the id of.
 *
 * @param what what is looked for, in the singular
 * @throws InputError where nothing was found
 * @example present(file.connections.find((c) => c.id === id), 'connection', id)
 */
export function present<T>(value: T | null | undefined, what: string, id: string | number): T {
  if (value === null || value === undefined) throw new InputError(what, String(id), `a ${what} that is there`);
  return value;
}
