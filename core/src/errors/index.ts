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
