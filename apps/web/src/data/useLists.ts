import { useEffect, useMemo } from 'react';
import useSWR from 'swr';
import type { Job, RoomHead } from '@steddo/contract';
import { fetchHeads, fetchRooms } from './api';
import { isStranger } from './crewState';
import type { AsideRecord, LocalRoom } from './records';
import { Unanswered } from './request';
import { localStore, rooms } from './shared';

/** A room as the list shows it: with its document where this device has it, else by its name alone. */
export interface ListedRoom {
  id: string;
  title: string;
  savedAt: string;
  job?: Job;
  /** On this device only so far. */
  waiting: boolean;
}

export interface RoomLists {
  rooms: ListedRoom[];
  /** Taken away here or elsewhere, and still to be taken back. */
  deleted: { id: string; title: string; deletedAt: string }[];
  /** Rooms that this device had sent and the server does not have any more. */
  lost: string[];
  /** Records that cannot be read, on the server. */
  aside: { id: string; reason: string }[];
  /** And on this device. */
  asideHere: AsideRecord[];
  loading: boolean;
  /** The last of those that the server told, where it has more. */
  moreAfter?: RoomHead;
  /** The server has been asked and has not answered yet. */
  asking: boolean;
  noServer: boolean;
}

/** Rooms of the server that are kept on this device too, for where there is no signal: the latest. */
const BROUGHT = 40;

/** A room of the list that somebody looks at, and that this device does not have yet: it is fetched. */
export const bringSeen = (id: string): void => void rooms.bring(id).catch(() => undefined);

/** Every room known here or on the server; what this device has is shown at once. */
export function useRoomList(): RoomLists {
  const remote = useSWR('rooms', () => fetchRooms(), { shouldRetryOnError: isAway, errorRetryInterval: 4000 });
  const local = useSWR('local-rooms', readLocal);
  const heads = remote.data;
  const here = local.data;
  const beyond = useMemo(() => (heads?.more && here ? idsBeyond(heads.rooms, here.rooms) : []), [heads, here]);
  const others = useSWR(beyond.length > 0 ? ['heads', ...beyond] : null, () => fetchHeads(beyond)).data;
  useEffect(() => {
    if (heads && here) void bringLatest(heads.rooms, here.rooms).catch(() => undefined);
  }, [heads, here]);
  return useMemo(() => {
    const gone = new Set(heads?.deleted.map((r) => r.id));
    const all = here?.rooms ?? [];
    const own = all.filter((r) => r.deletedAt === undefined && !(gone.has(r.id) && !here?.waiting.has(r.id)));
    const known = new Map([...(heads?.rooms ?? []), ...(others ?? [])].map((r) => [r.id, r]));
    const compared = heads !== undefined && (beyond.length === 0 || others !== undefined);
    const listed = own.map((r): ListedRoom => ({
      id: r.id,
      title: r.job.title,
      savedAt: known.get(r.id)?.savedAt ?? '',
      job: r.job,
      waiting: here?.waiting.has(r.id) ?? false,
    }));
    const hidden = new Set(all.map((r) => r.id));
    const elsewhere = (heads?.rooms ?? []).filter((r) => !hidden.has(r.id)).map(listedHead);
    const deleted = [
      ...all.flatMap((r) =>
        r.deletedAt === undefined ? [] : [{ id: r.id, title: r.job.title, deletedAt: r.deletedAt }],
      ),
      ...(heads?.deleted ?? []).map(({ id, title, deletedAt }) => ({ id, title, deletedAt })),
    ];
    return {
      rooms: [...listed, ...elsewhere].sort((a, b) => orderOf(b).localeCompare(orderOf(a)) || a.id.localeCompare(b.id)),
      deleted: [...new Map(deleted.map((r) => [r.id, r])).values()],
      lost: compared ? own.filter((r) => isLost(r, known)).map((r) => r.id) : [],
      aside: heads?.aside ?? [],
      asideHere: here?.aside ?? NONE,
      loading: !here || (heads === undefined && !remote.error && all.length === 0),
      ...(heads?.more ? { moreAfter: heads.rooms.at(-1) } : {}),
      asking: heads === undefined && !remote.error,
      noServer: isAway(remote.error),
    };
  }, [heads, here, beyond, others, remote.error]);
}

/** A room that this device does not have, by its name alone. */
export const listedHead = ({ id, title, savedAt }: RoomHead): ListedRoom => ({ id, title, savedAt, waiting: false });

/** A server that asks who this is, is there. */
const isAway = (error: unknown): boolean =>
  error !== undefined && !(error instanceof Unanswered && isStranger(error.obstacle.why));

/** Rooms of this device that the top of the server's list says nothing of. */
function idsBeyond(heads: readonly RoomHead[], here: readonly LocalRoom[]): string[] {
  const told = new Set(heads.map((r) => r.id));
  return here.filter((r) => r.base?.revision && !told.has(r.id)).map((r) => r.id);
}

/** What is not on the server yet comes first. */
const orderOf = (room: ListedRoom): string => (room.savedAt === '' ? '9' : room.savedAt);

/** Whether the server does not have what it had confirmed: another database, or an earlier one. */
function isLost({ id, base }: LocalRoom, known: ReadonlyMap<string, RoomHead>): boolean {
  if (!base?.revision) return false;
  const there = known.get(id);
  return !there || there.version < base.version || (there.version === base.version && there.revision !== base.revision);
}

const NONE: AsideRecord[] = [];

async function readLocal() {
  try {
    const all = await localStore.rooms();
    // what could not be read has been set aside by now
    return { rooms: all, waiting: await localStore.waiting(), aside: await localStore.aside() };
  } catch {
    return { rooms: [], waiting: new Map<string, number>(), aside: NONE };
  }
}

let bringing = false;

/** Fetches what this device does not have, one after the other; what fails is fetched the next time. */
async function bringLatest(heads: readonly RoomHead[], here: readonly LocalRoom[]): Promise<void> {
  if (bringing) return;
  bringing = true;
  const revisions = new Map(here.map((r) => [r.id, r.base?.revision]));
  try {
    for (const { id, revision } of heads.slice(0, BROUGHT))
      if (revisions.get(id) !== revision) await rooms.bring(id).catch(() => undefined);
  } finally {
    bringing = false;
  }
}
