import { hash, verify } from '@node-rs/argon2';
import createError from 'http-errors';
import zxcvbn from 'zxcvbn';
import { eq } from 'drizzle-orm';
import type { Db } from '../db/client';
import { meta } from '../db/schema';

const NAME = 'passcode';
/** Argon2id; OWASP's password storage cheat sheet, from memory: 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
/** Those who wait for their turn; more are told to come again. */
const MOST_WAITING = 20;

/** What is kept of the crew's passcode; undefined where this server has no crew. */
export async function passcodeHash(db: Db): Promise<string | undefined> {
  return (await db.select({ value: meta.value }).from(meta).where(eq(meta.name, NAME)))[0]?.value;
}

/** Guesses that zxcvbn counts to it, as a power of ten from 0 to 4; three is ten to the eighth. */
const LEAST_SCORE = 3;

/** Why a passcode is one of those that are tried first; undefined where it is not. */
export function weaknessOf(passcode: string): string | undefined {
  const { score, feedback } = zxcvbn(passcode);
  if (score >= LEAST_SCORE) return undefined;
  return `is one of those that are guessed first${feedback.warning ? ` (${feedback.warning})` : ''}: take a few words that do not belong together`;
}

/** Another passcode from now on; devices that are in stay in. */
export async function setPasscode(db: Db, passcode: string): Promise<void> {
  const row = { name: NAME, value: await hash(passcode, COST) };
  await db.insert(meta).values(row).onConflictDoUpdate({ target: meta.name, set: row });
}

/** Tries passcodes one at a time: each takes 19 MiB, and nobody may have the server take many of them. */
export class PasscodeTries {
  private tail: Promise<unknown> = Promise.resolve();
  private waiting = 0;

  async isRight(known: string, passcode: string): Promise<boolean> {
    if (this.waiting >= MOST_WAITING)
      throw createError(429, 'too many try to get in at once; try again in a moment', { retryAfter: 2 });
    this.waiting += 1;
    const turn = this.tail.then(() => verify(known, passcode));
    this.tail = turn.catch(() => undefined);
    try {
      return await turn;
    } finally {
      this.waiting -= 1;
    }
  }
}
