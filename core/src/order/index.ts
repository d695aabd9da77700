export { complaints, type Complaint } from './bodies.ts';
export { approval, complaintAgain, complaintTest, identity, opened, shopFigures } from './kinds.ts';
export { figuresOf, startingFigures, type ShopFigures } from './shop.ts';
export { orderSlice, testedSince, type OrderSlice } from './slice.ts';
