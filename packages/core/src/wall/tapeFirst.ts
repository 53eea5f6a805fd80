import type { Finding, Hole, Item, Job, Placement } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { onMainWall, plateMayCover, setMayCover } from '../room/roomThings';
import { overlaps, type WallBox } from './hazardZones';

/**
 * Things that were measured by a picture and are no further from a hole, the plate or the set than that may be out: the
 * tape decides. An outlet known within 9 mm, a hole 6 beside it: a caution; 12 beside it: nothing.
 */
export function tapeFirst(job: Job, placement: Placement | undefined, holes: readonly Hole[]): Finding[] {
  return onMainWall(job.room.objects).flatMap((item) => {
    const { doubt = 0 } = item;
    if (doubt === 0) return [];
    const near = holes.filter((h) => !h.done && h.wall === undefined && overlaps(grown(item, doubt), spotOf(h)));
    const plate = placement?.plate;
    const byPlate = plate !== undefined && !plateMayCover(item, job.leads) && isClose(item, plate, doubt);
    const bySet = placement !== undefined && !setMayCover(item) && isClose(item, placement, doubt);
    if (near.length === 0 && !byPlate && !bySet) return [];
    const values = { object: item.id, holes: near.map((h) => h.id), plate: byPlate, set: bySet, doubtMm: doubt };
    return [finding('tape-it-first', 'todo', 'room', values)];
  });
}

const grown = ({ left, right, bottom, top }: WallBox, by: number): WallBox => ({
  left: left - by,
  right: right + by,
  bottom: bottom - by,
  top: top + by,
});

const spotOf = ({ x, y, fixing }: Hole): WallBox =>
  grown({ left: x, right: x, bottom: y, top: y }, fixing.diameter / 2);

const isClose = (item: Item, box: WallBox, doubt: number): boolean => overlaps(grown(item, doubt), box);
