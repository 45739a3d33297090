'use client';

/** What stands where a screen could not be shown. */
export default function ScreenError({ reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert">
      <h1>This screen could not be shown</h1>
      <p>Something went wrong on our side; nothing you have saved is lost.</p>
      <Button onClick={reset}>Try again</Button>
    </div>
  );
}
import Button from 'react-bootstrap/Button';
