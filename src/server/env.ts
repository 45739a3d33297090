import { z } from 'zod';

const Env = z.object({
  DATABASE_URL: z.string().min(1),
  HALFPOT_SECRET: z.string().min(32),
  HALFPOT_DEMO: z.string().optional(),
  /** The word that the person who starts a kitchen in an empty database has to know. */
  HALFPOT_FIRST_WORD: z.string().min(8).optional(),
  /** Hosts this server is reached by, with their ports, between commas; any where it is not said. */
  HALFPOT_HOSTS: z.string().optional(),
  /** The address people reach this server by, where something in front of it answers for it: https:// there means https for all. */
  HALFPOT_ORIGIN: z.url({ protocol: /^https?$/ }).optional(),
  /** How tablets of the kitchen's own network reach it, as JSON; where it is open to them. */
  HALFPOT_LAN: z.string().optional(),
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

const Lan = z.object({
  address: z.string(),
  /** The page that puts the house's authority on a tablet, and how the authority is known. */
  welcomeAt: z.string().optional(),
  fingerprint: z.string().optional(),
});

/** How tablets of the kitchen's own network reach it; undefined where this machine alone does. */
export function lan(): z.infer<typeof Lan> | undefined {
  const said = env().HALFPOT_LAN;
  return said === undefined ? undefined : Lan.parse(JSON.parse(said));
}
