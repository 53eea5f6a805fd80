import type { Job, Mount, Plan, Zone } from '@steddo/contract';
import { plateOutline, type Outline } from '../room/platePlane';
import { wallAt } from '../room/wallAt';
import { takesHole } from '../room/wallKinds';
import { HOLE_CAUTION } from '../wall/holeVerdict';
import { noggingZone, placeNoggings } from './noggingsBetween';
import {
  BEYOND_MM,
  boxOf,
  rowsMiddle,
  studLag,
  studLines,
  withPieces,
  type Timber,
  type TimberAsked,
  type TimberPlaced,
} from './timberPlaced';

/** Stock timbers, mm: as high as the plate's rows need, and so thick (2 x 6 to 2 x 10). Common practice. */
const STOCK_HEIGHTS_MM = [140, 184, 235, 286] as const;
const STOCK_THICKNESS_MM = 38;

/** The stock timber that a plate's rows fit on, with their edge kept; undefined for a plate too tall for any. */
export function stockTimber({ plate }: Mount): Timber | undefined {
  const ys = (plate?.slots ?? []).map((s) => s.y);
  if (ys.length === 0) return undefined;
  const need = Math.max(...ys) - Math.min(...ys) + 2 * BEYOND_MM;
  const height = STOCK_HEIGHTS_MM.find((h) => h >= need);
  return height === undefined ? undefined : { height, thickness: STOCK_THICKNESS_MM };
}

/** A stock timber as it is chosen for one of the two ways. */
export const timberOf = (stock: Timber, way: 'across' | 'noggings'): Timber =>
  way === 'across' ? stock : { ...stock, way };

/** The timber that was chosen, in its place: across studs or between them; undefined where the studs are lacking. */
export const placeTimber = (asked: TimberAsked): TimberPlaced | undefined =>
  asked.timber.way === 'noggings' ? placeNoggings(asked) : placeAcross(asked);

/**
 * A timber across the two sure studs that stand most evenly about the plate, over all of the plate and its slide.
 * Undefined where there are no two, or a plate that nobody has drawn. Studs at 1800 and 2200, a plate 500 wide about
 * 2000: from 1705 to 2295 with a slide of 0.
 */
function placeAcross({ job, mount, found, timber, x, bottom }: TimberAsked): TimberPlaced | undefined {
  const middle = rowsMiddle(mount, bottom);
  const lag = studLag(mount, job);
  if (middle === undefined || !lag) return undefined;
  const plate = mount.plate!;
  const sure = studLines(found, lag).filter((s) => s.chance >= HOLE_CAUTION);
  const pairs = sure.flatMap((a) => sure.filter((b) => b.x > a.x).map((b) => [a, b] as const));
  const off = ([a, b]: (typeof pairs)[number]) =>
    Math.abs((a.x + b.x) / 2 - x) + Math.max(0, b.x - a.x - plate.width) / 4;
  const [studs] = pairs.filter(([a, b]) => a.x < x && b.x > x).sort((p, q) => off(p) - off(q));
  if (!studs) return undefined;
  const outline = plateOutline(plate, x, bottom);
  const slide = mount.slide ?? 0;
  const box: Outline = {
    left: Math.min(studs[0].x - BEYOND_MM, outline.left - slide),
    right: Math.max(studs[1].x + BEYOND_MM, outline.right + slide),
    bottom: middle - timber.height / 2,
    top: middle + timber.height / 2,
  };
  // its own screws go into studs, not into brick that the wall has there
  const hollow = studs.every((s) =>
    [box.bottom + BEYOND_MM, box.top - BEYOND_MM].every((y) =>
      takesHole(wallAt(job.room.wall, s.x, y).build.kind, 'stud'),
    ),
  );
  if (!hollow) return undefined;
  const lines = studs.map(({ x: at, across, chance }) => ({ piece: 0, x: at, across, chance }));
  return { ...withPieces(job, mount, [acrossZone(box, timber.thickness)]), box, pieces: [box], lines };
}

/** The wall as it is with the timber of a plan on it or in it: what the plate is screwed to. The same job without one. */
export function timberedJob(job: Job, { timber }: Pick<Plan, 'timber'>): Job {
  if (!timber) return job;
  const { wall } = job.room;
  const pieces = timber.pieces?.map((p, i) => noggingZone(wall, { ...boxOf(timber), ...p }, timber.thickness, i));
  const zones = [...(wall.zones ?? []), ...(pieces ?? [acrossZone(boxOf(timber), timber.thickness)])];
  return { ...job, room: { ...job.room, wall: { ...wall, zones } } };
}

/** No zone of a job is called this. */
const acrossZone = (box: Outline, thickness: number): Zone => ({
  id: 'timber across',
  ...box,
  face: thickness,
  build: { kind: 'timber-backing', thickness, board: 0, cover: 'none', state: 'sound' },
});
