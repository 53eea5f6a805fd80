import type { Job, RoomHead } from '@steddo/contract';
import { fetchRooms } from './api';
import { localStore, rooms } from './shared';

export interface AllRooms {
  rooms: { id: string; job: Job }[];
  /** Rooms of the server that could not be fetched, by name. */
  missing: string[];
  noServer: boolean;
}

/** Every room with its document: those of this device, and those that only the server has, fetched one by one. */
export async function allRooms(): Promise<AllRooms> {
  const heads = await allHeads().catch(() => undefined);
  const missing: string[] = [];
  for (const { id, title } of heads ?? []) {
    await rooms.bring(id).catch(() => undefined);
    if (!rooms.get(id)) missing.push(title);
  }
  const here = (await localStore.rooms().catch(() => [])).filter((r) => r.deletedAt === undefined);
  return { rooms: here.map(({ id, job }) => ({ id, job })), missing, noServer: heads === undefined };
}

async function allHeads(): Promise<RoomHead[]> {
  const heads: RoomHead[] = [];
  for (;;) {
    const last = heads.at(-1);
    const page = await fetchRooms(last ? { after: last } : {});
    heads.push(...page.rooms);
    if (!page.more || page.rooms.length === 0) return heads;
  }
}
