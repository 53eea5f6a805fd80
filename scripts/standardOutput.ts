import { writeSync } from 'node:fs';
import { refuse } from './readFiles';

/** All of it on standard output; one line and exit 2 where that cannot be, and nothing where its reader has read enough. */
export function toStandardOutput(text: string | Uint8Array): void {
  const bytes = Buffer.from(text);
  try {
    for (let at = 0; at < bytes.length;) at += writeSync(1, bytes, at);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'EPIPE') process.exit(0);
    refuse([`standard output: cannot be written (${code})`]);
  }
}
