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
 * The same for the person who typed it: the last name of the path as words, what was expected, what stood there.
 *
 * @example problemInWords(new InputError('body.emptyMass.lo', '-3', 'zero or more')) // 'Empty mass: expected zero or more; “-3” was given.'
 */
export function problemInWords({ field, found, expected }: InputError): string {
  const names = field.split(/[.[\]]+/).filter((part) => part !== '' && part !== 'body' && !/^\d+$/.test(part));
  const ends: Record<string, string> = { lo: 'least', typ: 'likely', hi: 'most', f: 'first end', r: 'second end' };
  const last = names.at(-1) ?? '';
  const words = last in ends ? [names.at(-2) ?? '', ends[last]!] : [last];
  const name = words
    .filter(Boolean)
    .join(', ')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();
  const given =
    found === '' ? 'nothing was given' : `“${found.length > 60 ? `${found.slice(0, 60)}…` : found}” was given`;
  return `${name === '' ? '' : `${name[0]!.toUpperCase()}${name.slice(1)}: `}expected ${expected}; ${given}.`;
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

/**
 * What something comes to, or null while what was said cannot be meant yet. Any other error goes on: it is a fault, not a blank field.
 *
 * @param reckon the reckoning
 * @throws whatever it throws that is no InputError
 * @example ifMeant(() => wrenchSetting({ torque: 40, length: 0, extension: 50, degrees: 0 })) // null
 */
export function ifMeant<T>(reckon: () => T): T | null {
  try {
    return reckon();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return null;
  }
}
