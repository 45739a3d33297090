import type { Person, PersonRole } from '@/db/people/people';

/**
 * What somebody may do, each more than the one before. A `changer` is a cook in a house that lets its cooks change recipes, plates
 * and prices.
 */
const RANKS = ['reader', 'cook', 'changer', 'manager'] as const;
export type Rank = (typeof RANKS)[number];

/** Somebody at work: who, where, and with which rights. */
export interface Worker {
  readonly kitchenId: string;
  readonly person: Person;
  readonly role: Rank;
  /** The kitchen's zone (IANA): whose clock times are told by. */
  readonly zone: string;
  /** The row by which they are signed in. */
  readonly signedIn?: string | undefined;
}

/** What somebody may do here: by PIN a manager does a cook's work, and what cooks may is the house's choice. */
export function rankOf(role: PersonRole, byPin: boolean, cooksMayChange: boolean): Rank {
  const as = byPin && role === 'manager' ? 'cook' : role;
  return as === 'cook' && cooksMayChange ? 'changer' : as;
}

/** What a rank is called on the screen. */
export const roleWords = (rank: Rank): PersonRole => (rank === 'changer' ? 'cook' : rank);

/** Whether a rank may do what another may. Services ask this; screens only follow. */
export const may = (rank: Rank, least: Rank): boolean => RANKS.indexOf(rank) >= RANKS.indexOf(least);
