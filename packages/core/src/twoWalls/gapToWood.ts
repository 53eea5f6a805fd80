import type { Job, Mount, Working } from '@steddo/contract';
import { feetOf, headOf, type Feet, type Stance } from '../corner/cornerFeet';
import type { WallSide } from '../corner/cornerGeometry';
import { cornerPlace } from '../corner/cornerPlace';
import { aimsAt } from '../plate/planPlate';
import { usableSlots } from '../plate/usableSlots';
import { studBuildOf } from '../room/wallAt';
import { HOLE_GO } from '../wall/holeVerdict';
import { stancesOn } from './footStances';
import type { CornerWall } from './footWall';

/** The set is pulled out of its corner by no more than this for the sake of wood, and by so much at a time, mm. Ours. */
const MOST_MM = 350;
const STEP_MM = 3;

export interface GapInput {
  job: Job;
  mount: Mount;
  width: Working;
  spacer: Working | undefined;
  /** The walls as they lie to whoever looks into the corner. */
  walls: Record<WallSide, CornerWall>;
}

/** How a rack would have to stand: so far from both walls, turned so many degrees to the right. */
export interface Stood {
  gap: number;
  turn: number;
}

/** Turned no further for the sake of wood, and by so much at a time, degrees. Ours. */
const MOST_DEG = 30;
const STEP_DEG = 3;

/**
 * The least turn, and with it the least gap above the one that is kept now, with which both feet of a rack come over sure
 * studs, each outside or inside of its pivot, least turn first. None where a wall has no studs.
 */
export function* gapToWood(input: GapInput): Generator<Stood> {
  const { job, mount, walls } = input;
  const over = { left: woodOf(walls.left, mount), right: woodOf(walls.right, mount) };
  if (over.left.length === 0 || over.right.length === 0) return;
  const own = job.choices?.cornerTurn ?? 0;
  const more = Array.from({ length: Math.floor(MOST_DEG / STEP_DEG) }, (_, i) => (i + 1) * STEP_DEG);
  for (const by of [0, ...more.flatMap((d) => [d, -d])]) {
    const gap = gapAt(input, own + by, over);
    if (gap !== undefined) yield { gap, turn: own + by };
  }
}

function gapAt(
  { job, mount, width, spacer }: GapInput,
  turn: number,
  over: Record<WallSide, [number, number][]>,
): number | undefined {
  const now = job.choices?.cornerGap ?? 0;
  const isOver = (f: Feet, stance: Stance) =>
    over[f.wall].some(([from, to]) => f[stance]!.value >= from && f[stance]!.value <= to);
  for (let gap = Math.ceil(now); gap <= now + MOST_MM; gap += STEP_MM) {
    const there: Job = { ...job, choices: { ...job.choices, cornerGap: gap, cornerTurn: turn } };
    const place = cornerPlace(there, width);
    const feet = feetOf(there, place, mount.corner!, headOf(mount, spacer));
    const stands = stancesOn(there, mount, feet, place);
    if (stands.some((stand) => feet.every((f, i) => isOver(f, stand[i]!)))) return gap;
  }
  return undefined;
}

/** Where a foot's middle may be on a wall so that its slots come over a sure stud. */
function woodOf({ job, found }: CornerWall, mount: Mount): [number, number][] {
  const fixing = mount.walls[studBuildOf(job.room.wall).build.kind]?.fixing;
  if (!fixing) return [];
  const slots = usableSlots({ mount, fixing });
  const [first] = slots;
  if (!first) return [];
  return aimsAt(found, fixing.diameter)
    .filter((a) => a.chance >= HOLE_GO)
    .map((a): [number, number] => {
      const at = a.x.value - first.slot.x;
      return [at - first.travel, at + first.travel];
    });
}
