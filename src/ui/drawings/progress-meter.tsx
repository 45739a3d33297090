import ProgressBar from 'react-bootstrap/ProgressBar';

/** How far something is, %. The inner bar is the one that is a progress bar to anyone who cannot see it, and has the name. */
export const ProgressMeter = ({ now, label }: { readonly now: number; readonly label: string }) => (
  <ProgressBar>
    <ProgressBar isChild now={now} aria-label={label} />
  </ProgressBar>
);
