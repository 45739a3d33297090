import type { Trouble } from '../trouble';

/** A refusal of the pot: it carries what was asked for and where the limit lies. */
export const trouble = (code: string, message: string, value: number, limit: number): Trouble => ({
  code,
  path: '',
  message,
  numbers: { value, limit },
});

/** Figures as sentences carry them. */
export const litres = (ml: number): string => `${(ml / 1000).toFixed(ml < 995 ? 2 : 1)} l`;
export const kilos = (g: number): string => (g < 1000 ? `${Math.round(g)} g` : `${(g / 1000).toFixed(2)} kg`);
export const percent = (pct: number): string => `${pct.toFixed(2)} %`;
