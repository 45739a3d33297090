import type { WrittenTest } from '@/core/bench';
import type { Fate, TestKind } from '@/core/learning';
import type { TrimSchool } from '@/core/larder';

/** Words of the bench, the same wherever they stand. */
export const KIND_WORDS: Readonly<Record<TestKind, string>> = {
  trim: 'Trimming',
  brown: 'Browning',
  sweat: 'Sweating',
  wilt: 'Wilting',
  clarify: 'Clarifying',
  drain: 'Spent solids, drained',
  press: 'Spent solids, pressed',
};

export const FATE_WORDS: Readonly<Record<Fate, string>> = {
  usable: 'usable',
  'stock trim': 'stock trim',
  'by-product': 'by-product',
  waste: 'waste',
};

export const SCHOOL_WORDS: Readonly<Record<TrimSchool, { readonly name: string; readonly says: string }>> = {
  free: { name: 'Trim is free', says: 'the usable part carries all' },
  value: { name: 'Set value', says: 'trim at a price of its own' },
  weight: { name: 'By weight', says: 'a kilo is a kilo' },
};

export const fateClass = (fate: Fate): string => `fate-${fate.replace(' ', '-')}`;

/** The parts a test of a kind begins with: what is nearly always weighed. */
export const FIRST_PARTS: Readonly<Record<TestKind, WrittenTest['parts']>> = {
  trim: [
    { name: '', fate: 'usable', amount: '' },
    { name: '', fate: 'stock trim', amount: '' },
    { name: '', fate: 'waste', amount: '' },
  ],
  brown: [
    { name: 'browned', fate: 'usable', amount: '' },
    { name: 'fat poured off', fate: 'waste', amount: '' },
  ],
  sweat: [{ name: 'sweated', fate: 'usable', amount: '' }],
  wilt: [{ name: 'wilted', fate: 'usable', amount: '' }],
  clarify: [
    { name: 'clear', fate: 'usable', amount: '' },
    { name: 'solids and water', fate: 'waste', amount: '' },
  ],
  drain: [{ name: 'drained', fate: 'usable', amount: '' }],
  press: [{ name: 'pressed', fate: 'usable', amount: '' }],
};
