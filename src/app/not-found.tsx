import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="mt-5">
      <h1>There is nothing here</h1>
      <p>
        The thing this address stood for does not exist in this kitchen.{' '}
        <Link href="/">Back to the price book</Link>
      </p>
    </main>
  );
}
