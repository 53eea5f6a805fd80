import { checkFile, job as jobFormat, type Job, type RoomSummary } from '@steddo/contract';
import { applyChanges, isPartOf, thingOf, type Change, type FieldPath } from '@steddo/core';
import type { StoreTrouble } from './localStore';
import type { LocalRoom, OutboxEntry } from './records';
import type { Obstacle } from './sendResult';

/** What the server has in a room's place after a backup was put back, or with nothing there. */
export type Lost =
  | { kind: 'older'; theirs: RoomSummary; database: string }
  | { kind: 'unknown'; database: string }
  | { kind: 'deleted'; deletedAt: string; database: string };

/** A room that is open on this device, with all that is known of where its edits are. */
export interface RoomState extends LocalRoom {
  waiting: OutboxEntry[];
  /** The device's store has the room up to this edit; -1 while it has none of it. */
  kept: number;
  /** Why the store could not write it; what is here is in this tab's memory only. */
  trouble?: StoreTrouble;
  obstacle?: Obstacle;
  lost?: Lost;
  /** What the last undo did not take back, because somebody else has changed it since. */
  notUndone?: FieldPath[];
}

/** Where a room's edits are, in the order of what has to be said first. */
export type SyncState =
  | { kind: 'memory'; trouble: StoreTrouble; sent: boolean }
  | { kind: 'saving' }
  | { kind: 'lost'; lost: Lost }
  | { kind: 'disputed'; things: number }
  | { kind: 'waiting'; waiting: number; obstacle: Obstacle }
  | { kind: 'sending'; waiting: number }
  | { kind: 'sent' };

export function syncOf(state: RoomState): SyncState {
  const { waiting, trouble, kept, edits, lost, disputes, obstacle } = state;
  if (trouble) return { kind: 'memory', trouble, sent: waiting.length === 0 };
  if (kept < edits) return { kind: 'saving' };
  if (lost) return { kind: 'lost', lost };
  if (disputes.length > 0) return { kind: 'disputed', things: disputes.length };
  if (waiting.length > 0 && obstacle) return { kind: 'waiting', waiting: waiting.length, obstacle };
  return waiting.length > 0 ? { kind: 'sending', waiting: waiting.length } : { kind: 'sent' };
}

/** The document if it is one. */
export function readable(job: Job | undefined): Job | undefined {
  const checked = checkFile(jobFormat, job);
  return checked.ok ? checked.value : undefined;
}

export const isReadable = (job: Job): boolean => readable(job) !== undefined;

/** The document that the room is shown with: theirs, what waits, and of what is disputed mine. */
export function viewOf(base: Job | undefined, waiting: readonly OutboxEntry[], disputes: LocalRoom['disputes']): Job {
  const merged = applyChanges(
    base as Job,
    waiting.flatMap((e) => e.changes),
  );
  const mine = applyChanges(
    merged,
    disputes.flatMap((d) => d.changes),
  );
  return isReadable(mine) ? mine : merged;
}

/** Changes of something that is disputed belong to the dispute; the rest may go. */
export function apart(changes: readonly Change[], disputes: LocalRoom['disputes']) {
  const isDisputed = (c: Change) =>
    disputes.some((d) => d.changes.some((own) => isPartOf(thingOf(c.path), thingOf(own.path))));
  return { free: changes.filter((c) => !isDisputed(c)), disputed: changes.filter(isDisputed) };
}
