import type { Job, Working } from '@steddo/contract';
import { leaf } from '../primitives/working';
import { plateOutline, platePlane, type Outline } from '../room/platePlane';
import { hangsAt, type Spot } from './placeSet';

/**
 * How far the plate's back is in front of the wall, mm: packing, a part of the wall that stands out, or a timber across
 * studs with the packing on it; undefined where it lies on the wall. Packing of 20 on a flat wall: 20; on a timber of 38: 58.
 */
export function planeUnder({ room, choices }: Job, outline: Outline | undefined): Working | undefined {
  const { packing = 0, timber } = choices ?? {};
  const onWall = outline ? platePlane(room.wall, outline, packing).plane : packing;
  const onTimber = timber && timber.way !== 'noggings' ? timber.thickness + packing : 0;
  const plane = Math.max(onWall, onTimber);
  if (plane === 0) return undefined;
  return leaf('plate-plane', plane, 'mm', plane === packing ? { path: 'choices.packing' } : {});
}

/** The same where a spot puts the plate, its middle at `plateX`. */
export function standsOff(job: Job, plateX: number | undefined, spot: Spot): Working | undefined {
  const plate = job.mount?.plate;
  const bottom = plate && hangsAt(spot, job).plateBottom;
  const outline = bottom && plateX !== undefined ? plateOutline(plate, plateX, bottom.value) : undefined;
  return planeUnder(job, outline);
}
