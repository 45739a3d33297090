import pino from 'pino';

/** One line of JSON for each thing worth knowing later; no secrets and nothing typed goes into it. */
export const log = pino({ base: undefined, level: process.env.NODE_ENV === 'test' ? 'silent' : 'info' });
