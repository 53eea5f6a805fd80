import { createHash } from 'node:crypto';
import { demoCatalogue, demoRooms, photographed } from '@steddo/samples';
import type { Job } from '@steddo/contract';
import { seedCatalogue } from './db/catalogue';
import type { Db, Store } from './db/client';
import { takePiece } from './db/pictures';
import { rawRoom } from './db/rooms';
import { saveRoom } from './db/saving';

/** Idempotent: adds what is missing, and never touches a room that is there. */
export async function seed(
  store: Store,
  what: 'demo' | 'catalogue',
  now: () => Date,
  newId: () => string,
  pictures: ReadonlyMap<string, Buffer> = new Map(),
): Promise<void> {
  await store.run((db) => seedCatalogue(db, demoCatalogue));
  if (what !== 'demo') return;
  for (const { id, job } of demoRooms)
    await store.run(async (db) => {
      if ((await rawRoom(db, id)) !== undefined) return;
      const picture = pictures.get(id);
      const shown = picture ? await withPicture(db, id, job, picture, now) : job;
      const save = { editId: `seed-${id}`, baseVersion: 0, touched: [], job: shown };
      await saveRoom(db, id, save, { now: now().toISOString(), revision: newId(), person: '', device: '' });
    });
}

/** The room with the picture that the demo brings of its wall. */
async function withPicture(db: Db, id: string, job: Job, bytes: Buffer, now: () => Date): Promise<Job> {
  const of = photographed.find((p) => p.room === id);
  if (!of) return job;
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const piece = { picture: of.photo.id, from: 0, size: bytes.length, sha256, bytes, now: now().toISOString() };
  await takePiece(db, id, piece);
  return { ...job, photos: [...(job.photos ?? []), { ...of.photo, size: bytes.length }] };
}
