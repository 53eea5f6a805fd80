import { useState } from 'react';
import useSWR from 'swr';
import type { RoomHead } from '@steddo/contract';
import { fetchRooms } from './api';
import { listedHead, type ListedRoom } from './useLists';

/** From so many letters the server is asked for rooms that have them. */
const LETTERS = 2;

export interface FarRooms {
  rooms: ListedRoom[];
  /** The server has more of them still. */
  more: boolean;
  asking: boolean;
  loadMore: () => void;
}

interface Part {
  rooms: RoomHead[];
  more: boolean;
}

/**
 * Rooms that only the server has, beyond its latest: those that have the words that are looked for, or the next ones of
 * the list as they are asked for. `near` are the rooms that are listed already, `after` the last one that was told where
 * there are others.
 */
export function useFarRooms(words: string, near: readonly ListedRoom[], after: RoomHead | undefined): FarRooms {
  const sought = after !== undefined && words.length >= LETTERS;
  const found = useSWR(sought ? ['rooms-with', words] : null, () => fetchRooms({ words }), { keepPreviousData: true });
  const [pages, setPages] = useState<Part>({ rooms: [], more: true });
  const [asking, setAsking] = useState(false);
  const told = new Set(near.map((r) => r.id));
  const others = (heads: readonly RoomHead[]) => heads.filter((r) => !told.has(r.id)).map(listedHead);
  const loadMore = async () => {
    const last = pages.rooms.at(-1) ?? after;
    if (!last) return;
    setAsking(true);
    const next = await fetchRooms({ after: last }).catch(() => undefined);
    setAsking(false);
    if (next) setPages((earlier) => ({ rooms: [...earlier.rooms, ...next.rooms], more: next.more }));
  };
  const ends = { loadMore: () => void loadMore() };
  if (!after) return { rooms: [], more: false, asking: false, ...ends };
  if (sought) return { rooms: others(found.data?.rooms ?? []), more: false, asking: found.isLoading, ...ends };
  return { rooms: others(pages.rooms), more: pages.more, asking, ...ends };
}
