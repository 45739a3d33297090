/** What a kitchen's figures are written with. */
export interface MoneyWords {
  readonly locale: string;
  readonly currency: string;
}

export interface Figures {
  /** Money with its sign, rounded to the cent for showing; a dash where it is not known. */
  readonly money: (value: number | null | undefined) => string;
  /** The same for small money (a ladle, a knob of butter): to the tenth of a cent below 10 cents. */
  readonly small: (value: number | null | undefined) => string;
  readonly bare: (value: number | null | undefined, digits?: number) => string;
  readonly litres: (ml: number) => string;
  readonly kilos: (g: number) => string;
  readonly hours: (h: number) => string;
  readonly currencySign: string;
}

const DASH = '–';

export function figuresFor({ locale, currency }: MoneyWords): Figures {
  const format = (digits: number, style: 'currency' | 'decimal') =>
    new Intl.NumberFormat(
      locale,
      style === 'currency'
        ? { style, currency, minimumFractionDigits: digits, maximumFractionDigits: digits }
        : { minimumFractionDigits: digits, maximumFractionDigits: digits },
    );
  const money = format(2, 'currency');
  const finer = format(3, 'currency');
  const bares = [0, 1, 2, 3].map((digits) => format(digits, 'decimal'));
  const bare = (value: number | null | undefined, digits = 2): string =>
    value === null || value === undefined || !Number.isFinite(value)
      ? DASH
      : (bares[digits] as Intl.NumberFormat).format(value);
  return {
    money: (value) => (value === null || value === undefined ? DASH : money.format(value)),
    small: (value) =>
      value === null || value === undefined
        ? DASH
        : (Math.abs(value) < 0.1 && value !== 0 ? finer : money).format(value),
    bare,
    litres: (ml) => (ml < 995 ? `${bare(ml, 0)} ml` : `${bare(ml / 1000, 1)} l`),
    kilos: (g) => (g < 995 ? `${bare(g, 0)} g` : `${bare(g / 1000, 2)} kg`),
    hours: (h) => {
      const minutes = Math.round(h * 60);
      if (minutes < 60) return `${minutes} min`;
      return `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${String(minutes % 60).padStart(2, '0')}`}`;
    },
    currencySign: money.formatToParts(0).find((p) => p.type === 'currency')?.value ?? currency,
  };
}
