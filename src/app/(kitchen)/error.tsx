'use client';

/** What stands where a screen could not be shown. */
export default function ScreenError({ reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert">
      <h1>{texts.screenCouldNotShown}</h1>
      <p>{texts.somethingWentWrongOur}</p>
      <Button onClick={reset}>{texts.tryAgain}</Button>
    </div>
  );
}
import Button from 'react-bootstrap/Button';
import * as texts from '@/app/texts';
