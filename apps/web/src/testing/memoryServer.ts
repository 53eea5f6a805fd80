import type { Job, RevisionHead, RoomSummary } from '@steddo/contract';
import { sameValue } from '@steddo/core';
import type { ActResult, Fetched } from '../data/api';
import type { Save } from '../data/roomsParts';
import type { Obstacle, SendResult } from '../data/sendResult';

interface Kept {
  revisions: (RevisionHead & { job: Job })[];
  deletedAt?: string;
}

/** A server in memory that keeps every revision, and can be told to fail. */
export class MemoryServer {
  database = 'database-1';
  rooms = new Map<string, Kept>();
  obstacle: Obstacle | undefined;
  /** So many answers are lost on their way back. */
  loseAnswers = 0;
  /** Answers are late: they come when this has. */
  held: Promise<void> | undefined;
  /** What is asked for is answered by what there is now, and the answer comes when this has. */
  slowAnswer: Promise<void> | undefined;
  private n = 0;

  latest(id: string): RoomSummary | undefined {
    const room = this.rooms.get(id);
    const last = room?.revisions.at(-1);
    if (!room || !last || room.deletedAt !== undefined) return undefined;
    const { version, revision, savedAt, person, device, job } = last;
    return { id, version, revision, savedAt, person, device, title: job.title, job };
  }

  titles = (id: string): string[] => this.rooms.get(id)?.revisions.map((r) => r.job.title) ?? [];

  /** Somebody else saves on top of the latest. */
  saveElsewhere(id: string, change: (job: Job) => Job, touched: string[]): void {
    const last = this.latest(id)!;
    this.add(id, `other-${this.n}`, change(last.job), touched, 'the other phone');
  }

  send =
    (device: string) =>
    async (id: string, save: Save): Promise<SendResult> => {
      await this.held;
      if (this.obstacle) return { kind: 'obstacle', obstacle: this.obstacle };
      const result = this.take(id, save, device);
      if (this.loseAnswers-- > 0) return { kind: 'obstacle', obstacle: { why: 'no-server' } };
      return result;
    };

  act = async (id: string, act: 'delete' | 'take-back'): Promise<ActResult> => {
    await this.held;
    if (this.obstacle) return { kind: 'obstacle', obstacle: this.obstacle };
    const room = this.rooms.get(id);
    if (room && act === 'delete') room.deletedAt = '2026-03-14T10:00:00Z';
    if (room && act === 'take-back') delete room.deletedAt;
    return { kind: 'done' };
  };

  fetchRoom = async (id: string, base?: string): Promise<Fetched> => {
    await this.held;
    if (this.obstacle) throw new Error('no answer');
    const answer = this.roomAt(id, base);
    await this.slowAnswer;
    return answer;
  };

  private roomAt(id: string, base?: string): Fetched {
    const { database } = this;
    const room = this.rooms.get(id);
    const latest = this.latest(id);
    if (latest)
      return { kind: 'found', reply: { ...latest, database, known: base === undefined || this.knows(id, base) } };
    return room?.deletedAt === undefined
      ? { kind: 'unknown', database }
      : { kind: 'deleted', deletedAt: room.deletedAt, database };
  }

  private take(id: string, { editId, baseVersion, baseRevision, touched, job }: Save, device: string): SendResult {
    const { database } = this;
    const room = this.rooms.get(id);
    const again = room?.revisions.find((r) => r.editId === editId);
    if (again && !sameValue(again.job, job)) throw new Error(`edit ${editId} was sent with another content`);
    if (again) return { kind: 'sent', version: again.version, revision: again.revision, database };
    if (room?.deletedAt !== undefined) return { kind: 'deleted', deletedAt: room.deletedAt, database };
    const latest = this.latest(id);
    if (!latest && baseRevision !== undefined) return { kind: 'unknown', database };
    if (latest && (latest.version !== baseVersion || (baseRevision ?? latest.revision) !== latest.revision)) {
      const known = baseRevision === undefined || this.knows(id, baseRevision);
      const since = room!.revisions.filter((r) => !known || r.version > baseVersion).reverse();
      return { kind: 'stale', theirs: latest, known, since, database };
    }
    const { version, revision } = this.add(id, editId, job, touched, device, baseVersion + 1);
    return { kind: 'sent', version, revision, database };
  }

  private add(id: string, editId: string, job: Job, touched: string[], device: string, version?: number) {
    const room = this.rooms.get(id) ?? { revisions: [] };
    this.rooms.set(id, room);
    const entry = {
      version: version ?? (room.revisions.at(-1)?.version ?? 0) + 1,
      revision: `rev-${++this.n}`,
      editId,
      savedAt: '2026-03-14T09:30:00Z',
      person: '',
      device,
      touched,
      job,
    };
    room.revisions.push(entry);
    return entry;
  }

  private knows = (id: string, revision: string): boolean =>
    this.rooms.get(id)?.revisions.some((r) => r.revision === revision) ?? false;
}
