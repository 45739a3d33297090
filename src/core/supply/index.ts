/** What a gram's price is looked up by: keys with one writer and one reader. */
export {
  batchBefore,
  isMade,
  keysOf,
  lastOf,
  productOf,
  readSupply,
  trimOf,
  usableOf,
  type Supplied,
  type SupplyKey,
} from './supply';
