import type { Job } from '@steddo/contract';
import { pictures, rooms } from '../data/shared';
import { sha256 } from '../data/sha256';
import { fileName } from '../ui/download';
import type { PackedRoom, UnpackedRoom } from '../worker/archive';
import { archiveWorker } from '../worker/archives';

/** Rooms with their pictures as an archive; how many pictures could not be had. */
export async function packed(
  all: readonly { id: string; job: Job }[],
): Promise<{ bytes: Uint8Array; lacking: number }> {
  let lacking = 0;
  const whole: PackedRoom[] = [];
  for (const { id, job } of all) {
    const own = await picturesHere(id, job);
    lacking += (job.photos?.length ?? 0) - own.size;
    whole.push({ name: fileName(`${job.title}-${id}`, 'x').slice(0, -2), job, pictures: own });
  }
  return { bytes: await archiveWorker().pack(whole), lacking };
}

/** The pictures of a room that can be had, from this device or the server, by their ids. */
export async function picturesHere(id: string, { photos = [] }: Job): Promise<Map<string, Uint8Array>> {
  const found = new Map<string, Uint8Array>();
  for (const photo of photos) {
    const bytes = await pictures.bytesOf(id, photo.id);
    if (bytes) found.set(photo.id, bytes);
  }
  return found;
}

/** A room as a new one, with its pictures; how many of them could not be kept. */
async function createWith(job: Job, own: ReadonlyMap<string, Uint8Array>): Promise<{ id: string; unkept: number }> {
  const id = await rooms.create(job);
  let unkept = 0;
  for (const [picture, bytes] of own) {
    const made = { bytes, sha256: await sha256(bytes) };
    await pictures.keep(id, picture, made).catch(() => (unkept += 1));
  }
  return { id, unkept };
}

/** Rooms of an archive as new rooms; how many pictures could not be kept. */
export async function takeIn(all: readonly UnpackedRoom[]): Promise<{ unkept: number }> {
  let unkept = 0;
  for (const { job, pictures: own } of all) unkept += (await createWith(job, own)).unkept;
  return { unkept };
}

/** A room once more under another name, with the pictures that can be had; its id. */
export const copyRoom = async (id: string, job: Job, title: string): Promise<string> =>
  (await createWith({ ...job, title }, await picturesHere(id, job))).id;
