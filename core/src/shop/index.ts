export { AllowBody, PersonBody, SignInBody } from './people.ts';
export { bayKinds, Bay, Kit, Prices, Shop, startingShop } from './shop.ts';
