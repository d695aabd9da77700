export {
  AllowBody,
  ComparedBody,
  DeviceBody,
  NewPinBody,
  PersonBody,
  PersonChangeBody,
  SignInBody,
  UnlockBody,
} from './people.ts';
export { bayKinds, Bay, Kit, Prices, Shop, startingShop, USUAL_BORE } from './shop.ts';
