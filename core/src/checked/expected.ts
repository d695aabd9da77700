/** What says most comes first: of a text where a figure was wanted it matters little that it is not above 5. */
const FIRST = ['isDefined', 'isString', 'isNumber', 'isInt', 'isBoolean', 'isArray', 'isObject', 'isIn', 'isNotEmpty'];

/** What the validator says of a value, by how it begins, and what of it was expected. */
const SAYS: readonly (readonly [RegExp, string])[] = [
  [/^should not be null or undefined$|^should not be empty$/, 'something here'],
  [/^must be a string$/, 'a few words'],
  [/^must be a number conforming.*$/, 'a figure'],
  [/^must be an integer number$/, 'a whole number'],
  [/^must be a boolean value$/, 'yes or no'],
  [/^must be an object$/, 'an object'],
  [/^must be an array$/, 'a list'],
  [/^must be one of the following values: (.*)$/, 'one of $1'],
  [/^must not be less than (.*)$/, 'at least $1'],
  [/^must not be greater than (.*)$/, 'at most $1'],
  [/^must be a positive number$/, 'more than nothing'],
  [/^must be longer than or equal to 1 characters?$/, 'a few words'],
  [/^must be longer than or equal to (\d+) characters?$/, 'at least $1 letters'],
  [/^must be shorter than or equal to (\d+) characters?$/, 'at most $1 letters'],
  [/^must contain at least (\d+) elements?$/, 'at least $1 of them'],
  [/^must contain no more than (\d+) elements?$/, 'at most $1 of them'],
  [/^property (.* )?should not exist$/, 'nothing of this name'],
  [/^must be (.*)$/, '$1'],
];

/**
 * What was expected of a field, from all that the validator has against it: one answer, the one that says most.
 *
 * @param constraints what it said, by the name of each rule
 * @example expectedOf('alone', { min: 'alone must not be less than 5' }) // 'at least 5'
 */
export function expectedOf(property: string, constraints: Readonly<Record<string, string>>): string {
  const name = FIRST.find((rule) => rule in constraints) ?? Object.keys(constraints)[0] ?? '';
  const text = (constraints[name] ?? '').replace('each value in ', '').replace(`${property} `, '');
  for (const [pattern, expected] of SAYS) if (pattern.test(text)) return text.replace(pattern, expected);
  return text;
}
