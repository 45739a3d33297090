import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import { changePassword } from '../wire';

/** One's own password, changed: it ends every other place where one is signed in. */
export function OwnPassword({ name }: { readonly name: string }) {
  const [keep, state] = useKept();
  const [before, setBefore] = useState('');
  const [next, setNext] = useState('');
  const [ended, setEnded] = useState<number>();
  const change = async (): Promise<void> => {
    const ok = await keep(async () => {
      const answer = await changePassword({ before, next });
      if (answer.ok) setEnded(answer.value.ended);
      return answer;
    });
    if (!ok) return;
    setBefore('');
    setNext('');
  };
  return (
    <form
      className="waste-form"
      onSubmit={(event) => {
        event.preventDefault();
        void change();
      }}
    >
      <h2>Your password, {name}</h2>
      <input
        className="form-control"
        type="password"
        autoComplete="current-password"
        aria-label="The password you have now"
        placeholder="The one you have now"
        value={before}
        onChange={(event) => setBefore(event.target.value)}
      />
      <input
        className="form-control"
        type="password"
        autoComplete="new-password"
        aria-label="The new password"
        placeholder="The new one, at least 8 characters"
        value={next}
        onChange={(event) => setNext(event.target.value)}
      />
      <Button type="submit" variant="outline-primary" disabled={state.busy}>
        Change it
      </Button>
      {state.kept && (
        <span role="status" className="kept">
          ✓ changed
          {ended
            ? `; ended ${ended === 1 ? 'one other place' : `${ended} other places`} where you were signed in`
            : ''}
        </span>
      )}
      <Trouble says={state.message} />
    </form>
  );
}
