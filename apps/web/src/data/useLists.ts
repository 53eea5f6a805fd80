import useSWR from 'swr';
import type { Job } from '@steddo/contract';
import { fetchRooms } from './api';
import { localStore } from './shared';

export interface ListedRoom {
  id: string;
  job: Job;
  /** On this device only so far. */
  waiting: boolean;
}

/** Every room known here or on the server; what waits on this device wins. */
export function useRoomList(): { rooms: ListedRoom[]; loading: boolean; noServer: boolean } {
  const remote = useSWR('rooms', fetchRooms, {
    shouldRetryOnError: true,
    errorRetryInterval: 4000,
  });
  const local = useSWR('local-rooms', async () => {
    const all = await localStore.rooms();
    return Promise.all(all.map(async (r) => ({ ...r, waiting: (await localStore.waiting(r.id)) > 0 })));
  });
  const merged = new Map<string, ListedRoom>();
  for (const r of remote.data ?? []) merged.set(r.id, { id: r.id, job: r.job, waiting: false });
  for (const r of local.data ?? [])
    if (r.waiting || !merged.has(r.id)) merged.set(r.id, { id: r.id, job: r.job, waiting: r.waiting });
  return {
    rooms: [...merged.values()],
    loading: remote.data === undefined && !remote.error && (local.data ?? []).length === 0,
    noServer: Boolean(remote.error),
  };
}
