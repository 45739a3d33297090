'use client';

import Button from 'react-bootstrap/Button';
import Toast from 'react-bootstrap/Toast';
import ToastContainer from 'react-bootstrap/ToastContainer';
import * as texts from './texts';

/** A notice: what was done, and the way to take it back where there is one. */
export interface ToastMessage {
  readonly id: number;
  readonly words: string;
  readonly undo?: (() => void) | undefined;
}

/** ms for which a notice stands: long enough to read it and reach for *undo*. */
const STANDS_MS = 9000;

/** Notices at the foot of the screen. */
export const ToastList = ({
  all,
  close,
}: {
  readonly all: readonly ToastMessage[];
  readonly close: (id: number) => void;
}) => (
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
              {texts.undo}
            </Button>
          )}
          <Button
            variant="close"
            className={`btn-close-white${t.undo ? '' : ' ms-auto'}`}
            aria-label={texts.close}
            onClick={() => close(t.id)}
          />
        </Toast.Body>
      </Toast>
    ))}
  </ToastContainer>
);
