import type { Fault } from '@steddo/contract';
import type { Command } from '@steddo/core';
import { troubleOfStore } from '../data/localStore';
import type { Reduced } from '../data/pictures';
import { pictures } from '../data/shared';
import { reducePicture } from '../worker/pictures';

export interface TakenPictures {
  taken: number;
  /** A sentence for each that was not taken. */
  refused: string[];
}

const newId = (): string => `p-${crypto.randomUUID().replaceAll('-', '').slice(0, 12)}`;

/** Makes pictures small, keeps each beside the room, then names it in the job; one that cannot be taken stands in nobody's way. */
export async function takePictures(
  room: string,
  of: string,
  files: readonly File[],
  dispatch: (command: Command) => readonly Fault[],
): Promise<TakenPictures> {
  const refused: string[] = [];
  let taken = 0;
  for (const file of files) {
    const why = await takeOne(room, of, file, dispatch).catch(
      (error: unknown) => `could not be taken (${error instanceof Error ? error.message : 'no reason was given'})`,
    );
    if (why === undefined) taken += 1;
    else refused.push(`${file.name || 'the picture'} ${why}`);
  }
  return { taken, refused };
}

async function takeOne(
  room: string,
  of: string,
  file: File,
  dispatch: (command: Command) => readonly Fault[],
): Promise<string | undefined> {
  const made = await reducePicture(file);
  return made.ok ? keepPicture(room, of, made, dispatch) : made.why;
}

/** Keeps a picture beside the room and names it in the job, or says why it cannot; nothing is half kept. */
export async function keepPicture(
  room: string,
  of: string,
  made: Reduced & { drawn?: boolean },
  dispatch: (command: Command) => readonly Fault[],
  drawnOn?: string,
): Promise<string | undefined> {
  const id = newId();
  try {
    await pictures.keep(room, id, made);
  } catch (error) {
    return troubleOfStore(error) === 'full'
      ? 'was not kept: this device is full, and no picture that the server has is left to make room. Make room on the device, or wait for a signal.'
      : 'was not kept: the browser lets no picture be stored on this device';
  }
  const { bytes, drawn } = made;
  const value = {
    id,
    of,
    at: new Date().toISOString(),
    size: bytes.length,
    type: 'image/jpeg',
    ...(drawn ? { drawn } : {}),
    ...(drawnOn === undefined ? {} : { drawnOn }),
  };
  const [fault] = dispatch({ do: 'put', path: `photos.${id}`, value });
  if (!fault) return undefined;
  await pictures.forget(room, id);
  return `was not taken: ${fault.path} ${fault.reason}`;
}
