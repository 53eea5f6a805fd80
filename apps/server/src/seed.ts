import { demoCatalogue, demoRooms } from '@steddo/samples';
import { seedCatalogue } from './db/catalogue';
import type { Store } from './db/client';
import { rawRoom } from './db/rooms';
import { saveRoom } from './db/saving';

/** Idempotent: adds what is missing, and never touches a room that is there. */
export async function seed(
  store: Store,
  what: 'demo' | 'catalogue',
  now: () => Date,
  newId: () => string,
): Promise<void> {
  await store.run((db) => seedCatalogue(db, demoCatalogue));
  if (what !== 'demo') return;
  for (const { id, job } of demoRooms)
    await store.run(async (db) => {
      if ((await rawRoom(db, id)) !== undefined) return;
      const save = { editId: `seed-${id}`, baseVersion: 0, touched: [], job };
      await saveRoom(db, id, save, { now: now().toISOString(), revision: newId(), person: '', device: '' });
    });
}
