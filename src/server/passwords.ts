import { hash, verify } from '@node-rs/argon2';

/** argon2id at the library's own recommended cost. */
export const hashSecret = (secret: string): Promise<string> => hash(secret);

export const isSecret = (kept: string, typed: string): Promise<boolean> => verify(kept, typed);
