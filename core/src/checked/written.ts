import { ValidateBy } from 'class-validator';

/**
 * Something is written there: a text that is not only blanks.
 *
 * @param expected what it should be, as it is said to the person
 * @example Written('a name') // over the name of a person, beside its length
 */
export const Written = (expected: string): PropertyDecorator =>
  ValidateBy({
    name: 'isWritten',
    validator: {
      validate: (value) => typeof value !== 'string' || value.trim() !== '',
      defaultMessage: () => `must be ${expected}`,
    },
  });
