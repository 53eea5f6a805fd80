import type { Job } from '@steddo/contract';
import { EMPTY_HISTORY, HISTORY_LIMIT, applyChanges, inverted, valueAt, type Change, type History } from '@steddo/core';
import type { JournalEntry } from './journal';
import type { LocalRoom, OutboxEntry } from './records';
import { apart, isReadable, type RoomState } from './roomState';

/** What of a room's state goes into the device's store. */
export const recordOf = ({ id, job, history, base, disputes, edits, deletedAt }: RoomState): LocalRoom => ({
  id,
  job,
  history,
  disputes,
  edits,
  ...(base ? { base } : {}),
  ...(deletedAt === undefined ? {} : { deletedAt }),
});

/** What is known of a room beyond its record, and stays known when it is read again. */
export const passing = (now: RoomState | undefined): Pick<RoomState, 'obstacle' | 'lost'> => ({
  ...(now?.obstacle ? { obstacle: now.obstacle } : {}),
  ...(now?.lost ? { lost: now.lost } : {}),
});

/** A version of the server's as what waiting edits rest on. */
export const baseOf = (
  { version, revision, job }: { version: number; revision: string; job: Job },
  database: string,
): NonNullable<LocalRoom['base']> => ({ version, revision, database, job });

/** A history with one more step; what was undone before is forgotten. */
export const withStep = (history: History, changes: Change[]): History =>
  changes.length === 0 ? history : { undo: [...history.undo, changes].slice(-HISTORY_LIMIT), redo: [] };

/** The room with an edit that waits; what of it is disputed is said in the dispute instead. */
export function withEntry(state: RoomState, entry: OutboxEntry): RoomState {
  const { free, disputed } = apart(entry.changes, state.disputes);
  if (disputed.length === 0) return { ...state, waiting: [...state.waiting, entry] };
  const after = applyChanges(state.job, entry.changes);
  const disputes = state.disputes.map((d) => ({
    ...d,
    changes: d.changes.map((c) => ({ ...c, after: valueAt(after, c.path) })),
  }));
  const waiting = free.length > 0 ? [...state.waiting, { ...entry, changes: free }] : state.waiting;
  return { ...state, disputes, waiting };
}

/** The room with an edit from the journal; one that does not fit any more changes nothing. */
export function replayed(state: RoomState | undefined, journaled: JournalEntry): RoomState | undefined {
  const { roomId, editId, changes, way, n } = journaled;
  const entry = { roomId, editId, changes };
  if (!state) {
    const job = changes[0]?.path.length === 0 ? (changes[0].after as Job) : undefined;
    if (!job || !isReadable(job)) return undefined;
    return { id: roomId, job, history: EMPTY_HISTORY, disputes: [], edits: n, waiting: [entry], kept: 0 };
  }
  const job = applyChanges(state.job, changes);
  if (!isReadable(job)) return state;
  const { undo, redo } = state.history;
  const history = {
    do: { undo: [...undo, changes].slice(-HISTORY_LIMIT), redo: [] },
    undo: { undo: undo.slice(0, -1), redo: [...redo, inverted(changes)] },
    redo: { undo: [...undo, changes], redo: redo.slice(0, -1) },
  }[way];
  return { ...withEntry(state, entry), job, history, edits: n };
}
