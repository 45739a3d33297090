'use client';

import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Toast from 'react-bootstrap/Toast';
import ToastContainer from 'react-bootstrap/ToastContainer';

interface Told {
  readonly id: number;
  readonly words: string;
  readonly undo?: (() => void) | undefined;
}

type Tell = (words: string, undo?: () => void) => void;
const Context = createContext<Tell>(() => undefined);

/** ms for which a notice stands: long enough to read it and reach for *undo*. */
const STANDS_MS = 9000;

/** Says at the foot of the screen what was done, with the way to take it back where there is one. */
export function ToastProvider({ children }: { readonly children: ReactNode }) {
  const [all, setAll] = useState<readonly Told[]>([]);
  const close = (id: number): void => setAll((told) => told.filter((t) => t.id !== id));
  const tell = useCallback<Tell>((words, undo) => {
    setAll((told) => [...told.slice(-2), { id: (told.at(-1)?.id ?? 0) + 1, words, undo }]);
  }, []);
  return (
    <Context value={tell}>
      {children}
      <ToastContainer position="bottom-start" className="p-3 position-fixed" aria-live="polite">
        {all.map((t) => (
          <Toast key={t.id} autohide delay={STANDS_MS} onClose={() => close(t.id)} data-bs-theme="dark">
            <Toast.Body className="d-flex align-items-center gap-3">
              {t.words}
              {t.undo && (
                <Button
                  size="sm"
                  variant="outline-light"
                  className="ms-auto"
                  onClick={() => {
                    close(t.id);
                    t.undo?.();
                  }}
                >
                  Undo
                </Button>
              )}
              <Button
                variant="close"
                className={`btn-close-white${t.undo ? '' : ' ms-auto'}`}
                aria-label="Close"
                onClick={() => close(t.id)}
              />
            </Toast.Body>
          </Toast>
        ))}
      </ToastContainer>
    </Context>
  );
}

export const useTell = (): Tell => useContext(Context);
