import type { LoadCasePlan, Loads } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import { NUMBERS } from '../primitives/arithmetic';
import { present } from '../primitives/present';
import { forcesOf } from './besideForces';
import type { Carrying } from './checkFastening';
import { turnsAbout, type TurnsAbout } from './fastenerGroup';
import type { LoadPose } from './loadPoses';
import { onRoad, pulledBy, pushesOf, weightsOf } from './setPushes';
import { durationIn, type LoadCaseAt, type WorstLoad } from './worstLoad';

/**
 * The cases that a plan states, each with what every fastener has to hold: folded and turned to each seat with nobody's
 * hand on it, and for each hand the pose that asks most with it. `holes` names the fasteners in their order.
 */
export function loadCases(
  hung: Hung,
  carrying: Carrying,
  poses: readonly LoadPose[],
  worst: WorstLoad,
  holes: readonly string[],
): LoadCasePlan[] {
  const stays = poses
    .filter((p) => p.stays)
    .map((pose, i) => ({
      id: i === 0 ? 'folded' : 'seat',
      at: { pose, handling: 'none' as const, duration: durationIn(pose, 'none') },
    }));
  const extremes = worst.extremes.map((at) => ({ id: nameOf(at), at }));
  return [...stays, ...extremes].map(({ id, at }) => caseOf(hung, carrying, id, at, holes));
}

const nameOf = ({ pose, handling }: LoadCaseAt): string =>
  handling !== 'none' ? handling : pose.travel ? 'travel' : pose.stays ? 'staying' : 'passing';

function caseOf(
  { job, mount }: Hung,
  { group, at }: Carrying,
  id: string,
  { pose, handling, duration }: LoadCaseAt,
  holes: readonly string[],
): LoadCasePlan {
  const placed = {
    ...{ x: pose.x, out: pose.standoff + at.packing },
    ...{ frontX: pose.frontX, frontOut: pose.frontStandoff + at.packing },
  };
  const weights = weightsOf(NUMBERS, job.screen, mount);
  const hangs = pose.travel ? onRoad(NUMBERS, weights, pose.travel) : weights;
  // it held in the search, so that it holds here
  const forces = forcesOf(NUMBERS, group, pushesOf(NUMBERS, at, hangs, placed, handling), pulledBy(handling))!;
  return {
    id,
    pose: {
      ...{ extension: pose.extension, yaw: pose.yaw, x: pose.x, e: pose.standoff },
      ...{ frontX: pose.frontX, frontE: pose.frontStandoff },
    },
    ...{ handling, duration },
    ...(pose.travel ? { times: pose.travel } : {}),
    fasteners: holes.map((hole, i) => {
      const { over = 0, swing = 0 } = forces.pulls[i]!;
      const { right = 0, up } = forces.shear[i]!;
      return { hole, pullX: swing, pullY: over, shearX: right, shearY: up };
    }),
  };
}

/** What the plate turns about, whichever way it is pulled off; of two brackets that stand apart each has its own edges. */
export function aboutOf({ group }: Carrying): Loads['about'] {
  const aside = (about: TurnsAbout | undefined) => about && { line: about.line, x: about.at };
  const top = turnsAbout(group, 'up');
  return {
    line: top?.line ?? 'row',
    ...present({ y: top?.at, left: aside(turnsAbout(group, 'left')), right: aside(turnsAbout(group, 'right')) }),
  };
}
