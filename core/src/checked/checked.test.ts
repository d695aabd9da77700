import { IsIn, IsInt, IsNumber, IsString, Length, Matches, Max, Min, ValidateNested } from 'class-validator';
import { Type } from 'class-transformer';
import { InputError, problemInWords } from '../errors/index.ts';
import { checked, expectedOf, Written } from './index.ts';

class Jack {
  @IsNumber() @Min(50) @Max(1500) pad!: number;
}
class Body {
  @IsInt() @Min(1) n!: number;
  @IsString() @Length(2, 5) @Written('a name') name!: string;
  @IsIn(['km', 'mi']) unit!: string;
  @Matches(/^\d{4}$/, { message: 'must be four digits' }) pin!: string;
  @ValidateNested() @Type(() => Jack) jack!: Jack;
}
const sound = { n: 3, name: 'Ada', unit: 'km', pin: '1234', jack: { pad: 400 } };
const refused = (raw: unknown): InputError => {
  try {
    checked(Body, raw);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('it was taken');
};

describe('what comes in', () => {
  test('comes out as its class, without what does not belong', () => {
    const read = checked(Body, { ...sound, other: true });
    expect(read).toBeInstanceOf(Body);
    expect(read.jack).toBeInstanceOf(Jack);
    expect({ ...read, jack: { ...read.jack } }).toEqual(sound);
  });

  test('what does not belong is refused where asked', () => {
    expect(() => checked(Body, { ...sound, other: true }, { strict: true, path: 'body' })).toThrow(
      'body.other: expected nothing of this name',
    );
  });

  test.each([
    [{ n: 0 }, 'n', 'at least 1'],
    // Of a text it matters little that it is not above one.
    [{ n: 'x' }, 'n', 'a whole number'],
    [{ n: undefined }, 'n', 'a whole number'],
    [{ name: '   ' }, 'name', 'a name'],
    [{ name: 'A' }, 'name', 'at least 2 letters'],
    [{ name: 'Adalbert' }, 'name', 'at most 5 letters'],
    [{ name: 7 }, 'name', 'a few words'],
    [{ unit: 'ft' }, 'unit', 'one of km, mi'],
    [{ pin: '12' }, 'pin', 'four digits'],
    [{ jack: { pad: 5 } }, 'jack.pad', 'at least 50'],
    [{ jack: { pad: 5000 } }, 'jack.pad', 'at most 1500'],
    [{ jack: { pad: 'wide' } }, 'jack.pad', 'a figure'],
  ])('%j is refused at its field, with what was expected', (wrong, field, expected) => {
    const error = refused({ ...sound, ...wrong });
    expect([error.field, error.expected]).toEqual([field, expected]);
  });

  test.each([[[]], ['text'], [null]])('%j is no object', (raw) => {
    expect(refused(raw).expected).toBe('an object');
  });

  test('it reads as a sentence to the person', () => {
    expect(problemInWords(refused({ ...sound, name: '' }))).toMatch(/^Name: expected .*; nothing was given\.$/);
    expect(problemInWords(refused({ ...sound, n: -3 }))).toBe('N: expected at least 1; “-3” was given.');
  });
});

test('of several rules the one that says most is said', () => {
  expect(
    expectedOf('alone', {
      max: 'alone must not be greater than 60',
      isNumber: 'alone must be a number conforming to the specified constraints',
    }),
  ).toBe('a figure');
});
