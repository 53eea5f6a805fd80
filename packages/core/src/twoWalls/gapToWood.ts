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
const MOST_MM = 250;
const STEP_MM = 1;

export interface GapInput {
  job: Job;
  mount: Mount;
  width: Working;
  spacer: Working | undefined;
  /** The walls as they lie to whoever looks into the corner. */
  walls: Record<WallSide, CornerWall>;
}

/**
 * The least gap, above the one that is kept now, with which both feet of a rack come over sure studs: the further out the
 * set stands the further its feet move along the walls. Undefined where there is none within 250 mm, or a wall has no studs.
 */
export function gapToWood(input: GapInput): number | undefined {
  const { job, mount, width, spacer, walls } = input;
  const over = { left: woodOf(walls.left, mount), right: woodOf(walls.right, mount) };
  if (over.left.length + over.right.length === 0) return undefined;
  const now = job.choices?.cornerGap ?? 0;
  for (let gap = Math.ceil(now) + STEP_MM; gap <= now + MOST_MM; gap += STEP_MM) {
    const there: Job = { ...job, choices: { ...job.choices, cornerGap: gap } };
    const place = cornerPlace(there, width);
    const feet = feetOf(there, place, mount.corner!, headOf(mount, spacer));
    const isOver = (f: Feet, stance: Stance) =>
      over[f.wall].some(([from, to]) => f[stance]!.value >= from && f[stance]!.value <= to);
    if (stancesOn(there, mount, feet, place).some((stance) => feet.every((f) => isOver(f, stance)))) return gap;
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
