import type { ApexOptions } from 'apexcharts';

/** The word by which this page's own styles are told from others': the chart puts a style of its own into the page. In a browser only. */
export const nonceHere = (): string | undefined =>
  document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce || undefined;

/** How charts of the house look and behave: they stand still, and nothing hangs over them. */
export const stillChart = (type: 'line' | 'rangeBar', nonce: string | undefined): ApexOptions['chart'] => ({
  type,
  ...(nonce === undefined ? {} : { nonce }),
  fontFamily: 'var(--numerals)',
  animations: { enabled: false },
  toolbar: { show: false },
  zoom: { enabled: false },
});

/** Figures along an axis. */
export const AXIS_LABELS = { style: { fontSize: '13px', colors: 'var(--steel)' } };
