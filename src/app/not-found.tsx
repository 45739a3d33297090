import Link from 'next/link';
import * as texts from '@/app/texts';

export default function NotFound() {
  return (
    <main className="mt-5">
      <h1>{texts.pageNotFound}</h1>
      <p>
        {texts.whatAddressPointedNot} <Link href="/">{texts.backPriceBook}</Link>
      </p>
    </main>
  );
}
