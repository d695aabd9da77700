import { checked } from '../checked/index.ts';
import { PersonBody, Shop, startingShop } from './index.ts';

describe('a shop’s own rules', () => {
  test('what every shop starts with is sound', () => {
    expect(checked(Shop, startingShop)).toBeInstanceOf(Shop);
  });

  test.each([
    [{ alone: 30, two: 25 }, 'two: expected at least the 30 of one'],
    [{ alone: 61 }, 'alone: expected at most 60'],
    [{ kit: { ...startingShop.kit, cans: [20, 0] } }, 'kit.cans: expected at least 1'],
    [{ kit: { ...startingShop.kit, siphonLength: null } }, 'kit.siphonLength: expected a figure'],
    [{ bays: [] }, 'bays: expected at least 1 of them'],
    [{ bays: [{ name: ' ', kind: 'flat' }] }, 'bays.0.name: expected a name'],
  ])('%j is refused', (wrong, words) => {
    expect(() => checked(Shop, { ...startingShop, ...wrong })).toThrow(words);
  });

  test('what it does not have may be left empty', () => {
    const { prices, kit } = startingShop;
    expect(
      checked(Shop, { ...startingShop, prices, kit: { ...kit, transferPump: null, siphonBore: null } }).kit,
    ).toMatchObject({ transferPump: null, siphonBore: null });
  });
});

test.each(['123', '123456789', '12a4', ''])('“%s” is no PIN', (pin) => {
  expect(() => checked(PersonBody, { name: 'Ada', role: 'lead', pin })).toThrow('pin: expected four to eight digits');
});
