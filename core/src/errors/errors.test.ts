import { ifMeant, InputError, present, problemInWords } from './index.ts';

describe('bad input, said to the person who typed it', () => {
  test.each([
    ['body.emptyMass.lo', '-3', 'Empty mass, least: expected zero or more; “-3” was given.'],
    ['body.off.0.key', '', 'Key: expected zero or more; nothing was given.'],
    ['body.to.f', '12', 'To, first end: expected zero or more; “12” was given.'],
    ['litres', 'a lot', 'Litres: expected zero or more; “a lot” was given.'],
    ['body', 'x', 'expected zero or more; “x” was given.'],
  ])('%s is no word of theirs', (field, found, words) => {
    expect(problemInWords(new InputError(field, found, 'zero or more'))).toBe(words);
  });

  test('what stood there is not repeated at length', () => {
    const long = problemInWords(new InputError('body.text', 'x'.repeat(4000), 'at most 2000 letters'));
    expect(long.length).toBeLessThan(140);
  });

  test('what is not there is said with what it is the id of', () => {
    expect(() =>
      present(
        [1].find((n) => n === 2),
        'line',
        'feed',
      ),
    ).toThrow('line: expected a line that is there, found “feed”');
  });
});

describe('what something comes to so far', () => {
  test('nothing while a figure cannot be meant', () => {
    expect(
      ifMeant(() => {
        throw new InputError('length', '0', 'more than 0');
      }),
    ).toBeNull();
    expect(ifMeant(() => 35.6)).toBe(35.6);
  });
  test('a fault of the program is never taken for a blank field', () => {
    expect(() => ifMeant(() => (undefined as unknown as { bar: number }).bar)).toThrow(TypeError);
  });
});
