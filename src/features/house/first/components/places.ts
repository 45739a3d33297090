import type { ComboOption } from '@/ui/forms/combo';

/** Locales by which figures are written in many kitchens; the browser's own is offered beside them. */
const LOCALES = [
  'en-IE',
  'en-GB',
  'en-US',
  'en-CA',
  'en-AU',
  'en-NZ',
  'en-IN',
  'en-ZA',
  'en-SG',
  'de-DE',
  'de-AT',
  'de-CH',
  'fr-FR',
  'fr-BE',
  'fr-CA',
  'fr-CH',
  'it-IT',
  'es-ES',
  'es-MX',
  'pt-PT',
  'pt-BR',
  'nl-NL',
  'nl-BE',
  'da-DK',
  'sv-SE',
  'nb-NO',
  'fi-FI',
  'pl-PL',
  'cs-CZ',
  'hu-HU',
  'el-GR',
  'tr-TR',
  'ja-JP',
  'ko-KR',
];

/** Currencies of a few regions, so that most find theirs chosen. */
const CURRENCY_OF: Readonly<Record<string, string>> = {
  GB: 'GBP',
  US: 'USD',
  CA: 'CAD',
  AU: 'AUD',
  NZ: 'NZD',
  IN: 'INR',
  ZA: 'ZAR',
  SG: 'SGD',
  CH: 'CHF',
  MX: 'MXN',
  BR: 'BRL',
  DK: 'DKK',
  SE: 'SEK',
  NO: 'NOK',
  PL: 'PLN',
  CZ: 'CZK',
  HU: 'HUF',
  TR: 'TRY',
  JP: 'JPY',
  KR: 'KRW',
};

const named = (of: 'language' | 'currency', code: string): string =>
  new Intl.DisplayNames(['en'], { type: of }).of(code) ?? code;

/** How figures and days look in a locale. */
const looks = (locale: string): string =>
  `${new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(1234.5)} · ${new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date('2026-03-14T00:00:00Z'))}`;

export interface Places {
  readonly locales: readonly ComboOption[];
  readonly currencies: readonly ComboOption[];
  readonly zones: readonly ComboOption[];
  /** What this browser stands in. */
  readonly here: { readonly locale: string; readonly currency: string; readonly zone: string };
}

/** What can be chosen, as this browser knows it; and what is most likely meant. */
export function placesHere(): Places {
  const locale = new Intl.Locale(navigator.language);
  const own = locale.region ? `${locale.language}-${locale.region}` : 'en-IE';
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const zones = [...new Set([zone, ...Intl.supportedValuesOf('timeZone')])];
  return {
    locales: [...new Set([own, ...LOCALES])].map((id) => ({
      id,
      name: named('language', id),
      says: looks(id),
    })),
    currencies: Intl.supportedValuesOf('currency').map((id) => ({
      id,
      name: `${id}, ${named('currency', id)}`,
    })),
    zones: zones.map((id) => ({ id, name: id.replaceAll('_', ' ') })),
    here: { locale: own, currency: CURRENCY_OF[locale.region ?? ''] ?? 'EUR', zone },
  };
}
