export { complaints, type ApprovalBody, type Complaint, type ComplaintTestBody, type IdentityBody, type OpenedBody, ShopFiguresBody } from './bodies.ts';
export { approval, complaintAgain, complaintTest, identity, opened, shopFigures } from './kinds.ts';
export { figuresOf, HELPER_MINUTES, startingBasis, startingFigures, type ShopFigures } from './shop.ts';
export { orderSlice, type OrderSlice, type Said } from './slice.ts';
