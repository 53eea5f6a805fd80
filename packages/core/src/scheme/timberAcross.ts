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
import { asideOf } from '../arm/arm';

/** Stock timbers, mm: as high as the plate's rows need, and so thick (2 x 6 to 2 x 10). Common practice. */
const STOCK_HEIGHTS_MM = [140, 184, 235, 286] as const;
const STOCK_THICKNESS_MM = 38;

/**
 * The stock timber that a plate's rows fit on, with their edge kept, and across studs all of the plate: it would stand
 * off the wall beyond. Undefined for a plate too tall for any. Rows at 40 and 160 of a plate 200 high: 235.
 */
export function stockTimber({ plate }: Mount, way: 'across' | 'noggings'): Timber | undefined {
  const ys = (plate?.slots ?? []).map((s) => s.y);
  if (!plate || ys.length === 0) return undefined;
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const rows = high - low + 2 * BEYOND_MM;
  const about = 2 * (Math.max(high - plate.height / 2, plate.height / 2 - low) + BEYOND_MM);
  const need = way === 'noggings' ? rows : Math.max(plate.height, about);
  const height = STOCK_HEIGHTS_MM.find((h) => h >= need);
  if (height === undefined) return undefined;
  return { height, thickness: STOCK_THICKNESS_MM, ...(way === 'noggings' ? { way } : {}) };
}

/** The timber that was chosen, in its place: across studs or between them; undefined where the studs are lacking. */
export const placeTimber = (asked: TimberAsked): TimberPlaced | undefined =>
  asked.timber.way === 'noggings' ? placeNoggings(asked) : placeAcross(asked);

/**
 * A timber across the two sure studs that stand most evenly about the plate, over all of the plate and its slide, its
 * middle on the plate's; where it is not as high as that, on that of the rows.
 * Undefined where there are no two, or a plate that nobody has drawn. Studs at 1800 and 2200, a plate 500 wide about
 * 2000: from 1705 to 2295 with a slide of 0.
 */
function placeAcross({ job, mount, found, timber, x, bottom }: TimberAsked): TimberPlaced | undefined {
  const rows = rowsMiddle(mount, bottom);
  const lag = studLag(mount, job);
  if (rows === undefined || !lag) return undefined;
  const plate = mount.plate!;
  const middle = timber.height >= plate.height ? bottom + plate.height / 2 : rows;
  const sure = studLines(found, lag).filter((s) => s.chance >= HOLE_CAUTION);
  const pairs = sure.flatMap((a) => sure.filter((b) => b.x > a.x).map((b) => [a, b] as const));
  const off = ([a, b]: (typeof pairs)[number]) =>
    Math.abs((a.x + b.x) / 2 - x) + Math.max(0, b.x - a.x - plate.width) / 4;
  const [studs] = pairs.filter(([a, b]) => a.x < x && b.x > x).sort((p, q) => off(p) - off(q));
  if (!studs) return undefined;
  const outline = plateOutline(plate, x, bottom);
  const slide = asideOf(mount);
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
