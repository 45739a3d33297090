/** Steps as they are said in a kitchen: read into the written form and written back in the same words. */
export { readStep } from './read';
export { writeStep } from './write';
export { findNamed, type Names } from './names';
