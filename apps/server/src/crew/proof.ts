import { createHash, randomBytes, randomInt } from 'node:crypto';
import { PAIRING_LENGTH, PAIRING_LETTERS } from '@steddo/contract';

/** What nobody guesses: 256 bits, in letters that an address or a cookie may hold. */
export const newSecret = (): string => randomBytes(32).toString('base64url');

/** What is kept of a secret: enough to know it again, nothing to use it by. It is random, so one digest is enough. */
export const proofOf = (secret: string): string => createHash('sha256').update(secret).digest('base64url');

/** A code to be read off one screen and typed on another; 40 bits, for a few minutes and one use. */
export const newCode = (): string =>
  Array.from({ length: PAIRING_LENGTH }, () => PAIRING_LETTERS[randomInt(PAIRING_LETTERS.length)]).join('');
