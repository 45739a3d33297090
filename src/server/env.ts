import { z } from 'zod';

const Env = z.object({
  DATABASE_URL: z.string().min(1),
  HALFPOT_SECRET: z.string().min(32),
  HALFPOT_DEMO: z.string().optional(),
  /** The word that whoever begins the kitchen of an empty database has to know. */
  HALFPOT_FIRST_WORD: z.string().min(8).optional(),
  /** Hosts this server is reached by, with their ports, between commas; any where it is not said. */
  HALFPOT_HOSTS: z.string().optional(),
  /** The address people reach this server by, where something in front of it answers for it: https:// there means https for all. */
  HALFPOT_ORIGIN: z.url({ protocol: /^https?$/ }).optional(),
  /** Where the kitchen's records lie: the disk whose room counts. */
  HALFPOT_DATA: z.string().optional(),
  /** Where backups of the kitchen lie; none are made where it is not said. */
  HALFPOT_BACKUPS: z.string().optional(),
  HALFPOT_CLOCK: z.iso.datetime().optional(),
});

let read: z.infer<typeof Env> | undefined;

/** What the process was started with, checked once. Read late, so that building needs none of it. */
export function env(): z.infer<typeof Env> {
  read ??= Env.parse(process.env);
  return read;
}

/** Whether people reach this server by https: cookies then travel in no other way, and browsers are told to ask in no other. */
export const overHttps = (): boolean => env().HALFPOT_ORIGIN?.startsWith('https:') ?? false;
