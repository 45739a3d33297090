import { ROLES, type Person, type PersonRole } from '@/db/people';

/** Somebody at work: who, where, and with which rights. */
export interface Worker {
  readonly kitchenId: string;
  readonly person: Person;
  readonly role: PersonRole;
  /** The kitchen's zone (IANA): whose clock times are told by. */
  readonly zone: string;
  /** The row by which they are signed in. */
  readonly signedIn?: string | undefined;
}

/** Whether a role may do what another role may. Services ask this; screens only follow. */
export const may = (role: PersonRole, least: PersonRole): boolean =>
  ROLES.indexOf(role) >= ROLES.indexOf(least);
