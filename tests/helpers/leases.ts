/** What a test of writers and their turns asks the database itself. */
export { releaseLease, acquireLease, leaseHolder } from '../../src/db/commands';
export { newId } from '../../src/db/mapping/ids';
export { many, one, run } from '../../src/db/sql';
