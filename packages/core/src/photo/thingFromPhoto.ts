import type { Item, ItemKind, Job } from '@steddo/contract';
import type { Command } from '../edit/command';
import { freeId } from '../edit/freeId';
import type { MeasuredBox } from './measureBox';
import { toldBox } from './toldMeasure';

/** What a picture has measured as a thing of the room. */
export interface FromPhoto {
  kind: ItemKind;
  photo: string;
  box: MeasuredBox;
  /** How far it stands out, where somebody taped that. */
  out?: number | undefined;
}

/**
 * Puts a thing into the room that a picture has measured: from the photo, with its doubt, and each of its edges a guess
 * until a tape says otherwise. An outlet 1240.3 to 1326.8 within 7: 1240 to 1326, doubt 8.
 */
export function putFromPhoto(job: Job, { kind, photo, box, out }: FromPhoto): { command: Command; id: string } {
  const id = freeId(job, 'o');
  const path = `room.objects.${id}` as const;
  const value: Item = { id, kind, ...toldBox(box, job.units), photo, ...(out === undefined ? {} : { out }) };
  const guessed = [...(job.guessed ?? []), ...['left', 'right', 'bottom', 'top'].map((side) => `${path}.${side}`)];
  const command: Command = {
    do: 'all',
    commands: [
      { do: 'put', path, value },
      { do: 'put', path: 'guessed', value: guessed },
    ],
  };
  return { command, id };
}
