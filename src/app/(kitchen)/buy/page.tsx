import { PriceBook } from '@/features/buy/components/price-book';
import { priceBook } from '@/features/buy/queries';
import { mustWork } from '@/server/session';

export const metadata = { title: 'Price book' };

export default async function Buy() {
  return <PriceBook data={await priceBook(await mustWork())} />;
}
