import { mutate } from 'swr';
import type { ChangesReply } from '@steddo/contract';
import { fetchChanges, fetchPicture, fetchPictureIds, fetchRoom, sendAct, sendMount, sendPiece, sendRoom } from './api';
import { bringCatalogue } from './catalogueFile';
import { askCrew } from './crewApi';
import { crewState, isStranger } from './crewState';
import { askToKeep, deviceName, nameDevice } from './device';
import { Followed } from './followed';
import { Journal, browserStorage } from './journal';
import { readKit } from './kit';
import { Live } from './live';
import { LocalChoice } from './localChoice';
import { openLocalStore } from './localStore';
import { LATER_MS, keepApp } from './newVersion';
import { OwnMounts } from './ownMounts';
import { Pictures } from './pictures';
import { openPictureStore } from './pictureStore';
import { Rooms } from './rooms';
import { sha256 } from './sha256';
import { Turns, aloneUnder, tabChannel, type TabNews } from './tabs';

/** The one store and the one set of rooms of this tab, wired to the browser. */
export const localStore = openLocalStore();

const storage = browserStorage();
export const journal = new Journal(storage);
const newId = (): string => crypto.randomUUID();
const isPhone = (): boolean => window.matchMedia?.('(pointer: coarse)').matches ?? false;

export const device = new Followed(deviceName(storage, isPhone(), newId));
export const renameDevice = (name: string): void => {
  nameDevice(storage, name);
  device.set(name.trim());
};

/** What was chosen on this device and is no part of any room. */
export const localChoice = new LocalChoice(storage);

export const turns = new Turns(navigator.locks);
const tell = tabChannel(hear);
const later = (work: () => void, ms: number): void => {
  setTimeout(work, ms);
};

export const rooms = new Rooms({
  store: localStore,
  journal,
  send: (id, save) => sendRoom(id, { ...save, device: device.get() }),
  act: async (id, act) => {
    const result = await sendAct(id, act);
    // the server's list first: by an earlier one a room that was just taken back would be gone again
    if (result.kind === 'done') await mutate('rooms');
    return result;
  },
  fetchRoom,
  newId,
  now: () => new Date(),
  later,
  alone: turns.alone,
  tell: (room) => {
    tell({ room });
    listAgain();
    askToKeep();
  },
});

export const ownMounts = new OwnMounts({
  store: localStore,
  send: sendMount,
  newId,
  onSent: () => void mutate('catalogue'),
  tell: () => tell('mounts'),
  later,
});

export const pictureStore = openPictureStore();

const picturesChanged = (): void => void mutate((key) => Array.isArray(key) && key[0] === 'pictures');

const isUnsent = async (id: string): Promise<boolean> => {
  const kept = await localStore.room(id);
  return kept !== undefined && kept.room.base === undefined;
};

export const pictures = new Pictures({
  store: pictureStore,
  // a room that was never sent is not asked for: it goes first
  send: async (room, id, piece) => ((await isUnsent(room)) ? { kind: 'no-room' } : sendPiece(room, id, piece)),
  fetchPicture,
  fetchIds: fetchPictureIds,
  sum: sha256,
  now: () => new Date(),
  later,
  alone: (work) => aloneUnder('steddo-pictures', navigator.locks, work),
  changed: () => {
    picturesChanged();
    tell('pictures');
    askToKeep();
  },
});

/** Rooms that are on this device, readable or set aside: what belongs to none of them is nobody's. */
async function roomsHere(): Promise<Set<string>> {
  const [here, aside] = await Promise.all([localStore.rooms(), localStore.aside()]);
  return new Set([...here.map((r) => r.id), ...aside.map((r) => r.key.replace(/^room:/, ''))]);
}

const LIST_MS = 120;
let listing = false;

/** The list of rooms is read once for changes that follow each other. */
function listAgain(): void {
  if (listing) return;
  listing = true;
  later(() => {
    listing = false;
    void mutate('local-rooms');
  }, LIST_MS);
}

function hear(news: TabNews): void {
  if (news === 'pictures') return picturesChanged();
  if (news === 'mounts') void ownMounts.read();
  else if (news !== 'rooms') void rooms.refresh(news.room);
  listAgain();
}

function onChanges({ rooms: changed, catalogue, everything }: ChangesReply): void {
  if (everything) rooms.refetchOpen();
  for (const { id, revision } of changed)
    if (rooms.get(id)?.base?.revision !== revision) void rooms.refetch(id).catch(() => undefined);
  if (catalogue) catalogueAgain();
  void mutate('rooms');
  flushAll();
}

function catalogueAgain(): void {
  void mutate('catalogue');
  kitAgain();
  keepCatalogue();
}

/**
 * As the app starts: with the kit here before the first room is worked out, that is not worked out twice. It is handed
 * on only once it is there, so that one that cannot be had takes none away that was asked for otherwise.
 */
export const kitAgain = (): void =>
  void readKit(localStore)
    .then((kit) => mutate('kit', kit, { revalidate: false }))
    .catch(() => undefined);

/** The catalogue's file is brought here unread, for whoever asks for it in a cellar. */
const keepCatalogue = (): void => {
  if (!isStranger(crewState.get().kind)) void bringCatalogue(localStore).catch(() => undefined);
};

const flushAll = (): void => {
  rooms.catchUp();
  void ownMounts.flush();
  pictures.flush();
};

/** Sends what waits and hears of what changes: at start, when the network is back, when the tab comes to the front. */
export function keepSending(): () => void {
  const live = new Live({
    fetchChanges,
    onChanges,
    // a server that asks who this is, is not asked again and again
    visible: () => document.visibilityState === 'visible' && !isStranger(crewState.get().kind),
    later,
  });
  const again = () => {
    flushAll();
    live.ask();
  };
  const onShow = () => {
    if (document.visibilityState !== 'visible') return;
    // another tab may have said who this is
    if (isStranger(crewState.get().kind)) void askCrew();
    again();
  };
  window.addEventListener('online', again);
  document.addEventListener('visibilitychange', onShow);
  let known = crewState.get().kind;
  // what waited while the server asked who this is goes as soon as it knows
  const heard = crewState.subscribe(() => {
    const { kind } = crewState.get();
    const [was, wasStranger] = [known, isStranger(known)];
    known = kind;
    if (kind === was || !wasStranger) return;
    if (kind === 'unasked') void askCrew();
    if (isStranger(crewState.get().kind)) return;
    catalogueAgain();
    void mutate('rooms');
    again();
  });
  void askCrew();
  void rooms
    .recover()
    .then(again)
    .then(async () => pictures.sweep(await roomsHere()))
    .catch(() => undefined);
  later(keepCatalogue, LATER_MS);
  keepApp(later);
  return () => {
    live.stop();
    heard();
    window.removeEventListener('online', again);
    document.removeEventListener('visibilitychange', onShow);
  };
}
