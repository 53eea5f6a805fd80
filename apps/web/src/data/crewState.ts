import type { CrewMember } from '@steddo/contract';
import { Followed } from './followed';

/** Whether the server knows this device, as far as it has said. */
export type CrewState =
  /** It has not been asked yet, or cannot be. */
  | { kind: 'unasked' }
  /** It has no crew: this machine alone asks it. */
  | { kind: 'none' }
  | { kind: 'in'; me: CrewMember }
  /** It asks who this is. */
  | { kind: 'passcode' }
  /** Somebody of the crew has taken this device out. */
  | { kind: 'taken-out'; at?: string };

export const crewState = new Followed<CrewState>({ kind: 'unasked' });

/** Whether nothing goes to the server or comes from it until somebody says who this is. */
export const isStranger = (kind: string): boolean => kind === 'passcode' || kind === 'taken-out';
