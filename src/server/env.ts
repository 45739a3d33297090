import { z } from 'zod';

const Env = z.object({
  DATABASE_URL: z.string().min(1),
  HALFPOT_SECRET: z.string().min(32),
  HALFPOT_DEMO: z.string().optional(),
  /** Hosts this server is reached by, with their ports, between commas; any where it is not said. */
  HALFPOT_HOSTS: z.string().optional(),
  HALFPOT_CLOCK: z.iso.datetime().optional(),
});

let read: z.infer<typeof Env> | undefined;

/** What the process was started with, checked once. Read late, so that building needs none of it. */
export function env(): z.infer<typeof Env> {
  read ??= Env.parse(process.env);
  return read;
}
