/** Trouble that ends a command: its message is the whole answer, a sentence that says what to do. */
export class Stop extends Error {}

/** A sentence for trouble of the machine itself; undefined where the error is our own mistake. */
export function sentenceFor(error: unknown): string | undefined {
  if (error instanceof Stop) return error.message;
  // Told by its name: what it is thrown by is loaded by the commands that need it alone.
  if (error instanceof Error && error.name === 'NewerDatabaseError') return error.message;
  const { code, errno, message } = (error ?? {}) as { code?: string; errno?: number; message?: string };
  if (code?.startsWith('ERR_PARSE_ARGS')) return `${message ?? code}. ./halfpot alone lists what there is.`;
  if (code === 'ENOSPC' || /No space left/.test(message ?? ''))
    return 'The disk is full. Free some space and start again: nothing half done stays behind.';
  if (code === 'EACCES' || code === 'EPERM')
    return `This user may not do that here (${message ?? code}). Check who owns the folder, or start as its owner.`;
  if (code === 'ECONNREFUSED')
    return 'The database does not answer at its address. Is it running, and is the port right?';
  if (errno === 1045)
    return 'The database refuses the user or the password of its address. Check DATABASE_URL.';
  if (errno === 1049)
    return 'The database named in DATABASE_URL does not exist. Create it, or name one that does.';
  if (errno === 1044 || errno === 1142)
    return 'The database user lacks rights on its database: it needs all of them there (GRANT ALL).';
  if (code === 'ENOTFOUND' || code === 'ETIMEDOUT' || code === 'EAI_AGAIN')
    return `The database cannot be reached (${message ?? code}). Check the host in DATABASE_URL.`;
  return undefined;
}

export const say = (line: string): void => void process.stderr.write(`${line}\n`);
