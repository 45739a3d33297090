/** When two names are the same to people, and so to everything that has to tell things apart by name. */
export { isSameName, nameKey } from './name-key';
