import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="mt-5">
      <h1>Page not found</h1>
      <p>
        What this address pointed to is not in this kitchen. <Link href="/">Back to the price book</Link>
      </p>
    </main>
  );
}
