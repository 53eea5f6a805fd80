import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What is known of a picture that is on this device. */
export interface PictureHead {
  key: string;
  room: string;
  id: string;
  size: number;
  /** Of its bytes, in hexadecimal. */
  sha256: string;
  /** When it came to be here. */
  at: string;
  /** Bytes that the server has confirmed. */
  sent: number;
  /** The server has all of it and has checked it. */
  whole: boolean;
  /** Why the server would not have it, the last time it was asked. */
  refused?: string;
}

interface Schema extends DBSchema {
  heads: { key: string; value: PictureHead; indexes: { room: string } };
  bytes: { key: string; value: Uint8Array };
}

/** Pictures of this device, beside the rooms: a store of their own, so that no picture stands in a room's way. */
export interface PictureStore {
  /** The picture and what is known of it, in one transaction. */
  put: (head: PictureHead, bytes: Uint8Array) => Promise<void>;
  heads: () => Promise<PictureHead[]>;
  headsOf: (room: string) => Promise<PictureHead[]>;
  bytes: (key: string) => Promise<Uint8Array | undefined>;
  /** What has been sent of it; with no reason named none stands. */
  note: (key: string, sent: Pick<PictureHead, 'sent' | 'whole' | 'refused'>) => Promise<void>;
  drop: (keys: readonly string[]) => Promise<void>;
}

export const pictureKey = (room: string, id: string): string => `${room}/${id}`;

/** The store of the browser; opened at the first use. */
export function openPictureStore(name = 'steddo-pictures'): PictureStore {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const forgetIt = () => {
    opened = undefined;
  };
  const open = () => {
    opened ??= openDB<Schema>(name, 1, {
      upgrade: (db) => {
        db.createObjectStore('heads', { keyPath: 'key' }).createIndex('room', 'room');
        db.createObjectStore('bytes');
      },
      terminated: forgetIt,
    });
    opened.catch(forgetIt);
    return opened;
  };
  return {
    put: async (head, bytes) => {
      const tx = (await open()).transaction(['heads', 'bytes'], 'readwrite', { durability: 'strict' });
      await Promise.all([tx.objectStore('heads').put(head), tx.objectStore('bytes').put(bytes, head.key), tx.done]);
    },
    heads: async () => (await open()).getAll('heads'),
    headsOf: async (room) => (await open()).getAllFromIndex('heads', 'room', room),
    bytes: async (key) => (await open()).get('bytes', key),
    note: async (key, sent) => {
      const tx = (await open()).transaction('heads', 'readwrite');
      const head = await tx.store.get(key);
      if (head) {
        const { refused: _, ...rest } = head;
        await tx.store.put({ ...rest, ...sent });
      }
      await tx.done;
    },
    drop: async (keys) => {
      const tx = (await open()).transaction(['heads', 'bytes'], 'readwrite');
      for (const key of keys) {
        await tx.objectStore('heads').delete(key);
        await tx.objectStore('bytes').delete(key);
      }
      await tx.done;
    },
  };
}
