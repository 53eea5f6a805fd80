import { checkFile, job as jobFormat, type Job, type Mount } from '@steddo/contract';
import {
  EMPTY_HISTORY,
  changesBetween,
  historyOfCommands,
  type Change,
  type Command,
  type Dispute,
  type History,
} from '@steddo/core';

/** A document that the server has. */
export interface Base {
  version: number;
  /** Absent in what an earlier version of the app has kept. */
  revision?: string;
  database?: string;
  job: Job;
}

/** A dispute with who saved the other value, and when; empty where the server did not say. */
export interface OpenDispute extends Dispute {
  who: string;
  when: string;
}

/** A room as it is on this device. */
export interface LocalRoom {
  id: string;
  job: Job;
  history: History;
  /** What the waiting edits were made on; absent before the first save. */
  base?: Base;
  disputes: OpenDispute[];
  /** Edits made on this device, counted. */
  edits: number;
  /** Taken away here; kept for thirty days. */
  deletedAt?: string;
}

/** An edit on its way to the server, in order. */
export interface OutboxEntry {
  seq?: number;
  roomId: string;
  editId: string;
  changes: Change[];
  /** The room is to be taken away or taken back. */
  act?: 'delete' | 'take-back';
}

/** A change of a mount that is on this device and on its way to the server. */
export interface MountEdit {
  seq?: number;
  editId: string;
  mount: Mount;
}

/** A record that cannot be read, kept as it is. */
export interface AsideRecord {
  key: string;
  what: 'room' | 'edit' | 'mount';
  reason: string;
  record: unknown;
}

/** What the first version of the app kept. */
export interface RoomV1 {
  id: string;
  job: Job;
  history: { undo: Command[]; redo: Command[] };
  serverVersion: number;
}
export interface OutboxV1 {
  seq?: number;
  roomId: string;
  editId: string;
  touched: string[];
  job: Job;
}

/**
 * A room of the first version with what waited of it. Its edits were whole documents: the first of them stands for
 * everything, because nobody knows what it was made on; the others are what changed from one to the next.
 */
export function fromV1(room: RoomV1, waiting: readonly OutboxV1[]): { room: LocalRoom; waiting: OutboxEntry[] } {
  const [first] = waiting;
  const entries = waiting.map(({ roomId, editId, job, seq }, i): OutboxEntry => {
    const changes = i === 0 ? [{ path: [], after: job }] : changesBetween(waiting[i - 1]!.job, job);
    return { roomId, editId, changes, ...(seq === undefined ? {} : { seq }) };
  });
  const { id, job, serverVersion } = room;
  const base = serverVersion > 0 && !first ? { version: serverVersion, job } : undefined;
  return {
    room: { id, job, history: historyV1(room), disputes: [], edits: 0, ...(base ? { base } : {}) },
    waiting: entries,
  };
}

function historyV1({ job, history }: RoomV1): History {
  try {
    return historyOfCommands(job, history);
  } catch {
    // what cannot be taken back step by step any more is no reason to lose the room
    return EMPTY_HISTORY;
  }
}

/** Whether a record is a room that can be opened; else why not. */
export function faultOfRoom(record: unknown): string | undefined {
  if (!isRecord(record) || typeof record.id !== 'string') return 'is no room';
  const checked = checkFile(jobFormat, record.job);
  if (!checked.ok) return faultText('job', checked.faults[0]);
  const { history, base, disputes, edits } = record;
  if (!isRecord(history) || !isSteps(history.undo) || !isSteps(history.redo)) return 'history is no list of edits';
  if (base !== undefined) {
    if (!isRecord(base) || typeof base.version !== 'number') return 'base is no version';
    const own = base.job === record.job ? checked : checkFile(jobFormat, base.job);
    if (!own.ok) return faultText('base.job', own.faults[0]);
  }
  if (!Array.isArray(disputes) || !disputes.every((d) => isRecord(d) && isChanges(d.changes)))
    return 'disputes is no list';
  return typeof edits === 'number' ? undefined : 'edits is no number';
}

/** Whether a record is an edit that waits; else why not. */
export function faultOfEntry(record: unknown): string | undefined {
  if (!isRecord(record) || typeof record.roomId !== 'string' || typeof record.editId !== 'string') return 'is no edit';
  return isChanges(record.changes) ? undefined : 'changes is no list of changes';
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
const isChanges = (value: unknown): value is Change[] =>
  Array.isArray(value) && value.every((c) => isRecord(c) && Array.isArray(c.path));
const isSteps = (value: unknown): boolean => Array.isArray(value) && value.every(isChanges);
const faultText = (where: string, fault: { path: string; reason: string } | undefined): string =>
  `${where}.${fault?.path ?? ''} ${fault?.reason ?? ''}`;
