import { mutate } from 'swr';
import { fetchRoom, sendMount, sendRoom } from './api';
import { openLocalStore } from './localStore';
import { OwnMounts } from './ownMounts';
import { Rooms } from './rooms';

/** The one store and the one set of rooms of this tab, wired to the browser. */
export const localStore = openLocalStore();

/** Only one tab sends at a time; sending twice would be harmless, but out of order would not. */
const oneAtATime: typeof sendRoom = async (id, save) => {
  if (!navigator.locks) return sendRoom(id, save);
  return await navigator.locks.request('steddo-outbox', async () => await sendRoom(id, save));
};

const later = (work: () => void, ms: number): void => {
  setTimeout(work, ms);
};

export const rooms = new Rooms({
  store: localStore,
  send: oneAtATime,
  fetchRoom,
  newId: () => crypto.randomUUID(),
  later,
});

export const ownMounts = new OwnMounts({
  store: localStore,
  send: sendMount,
  newId: () => crypto.randomUUID(),
  onSent: () => void mutate('catalogue'),
  later,
});

/** Tries again when the network is back or the tab comes to the front, and at start. */
export function keepSending(): () => void {
  const flush = () => {
    rooms.flush();
    void ownMounts.flush();
  };
  const onShow = () => document.visibilityState === 'visible' && flush();
  window.addEventListener('online', flush);
  document.addEventListener('visibilitychange', onShow);
  flush();
  return () => {
    window.removeEventListener('online', flush);
    document.removeEventListener('visibilitychange', onShow);
  };
}
