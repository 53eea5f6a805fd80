import type { Point } from '../primitives/convex';
import type { Arm } from './arm';
import type { Obstacle } from './obstacles';
import type { SetShape } from './setShape';
import { meetsOnWay, turnAt, waysTo, type Turn, type ArmWay } from './sweep';

/** Grid of the set's joint over the floor on which poses are tried, and that of the coverage map, mm. */
export const REACH_STEP_MM = 40;

/** Everything that decides where the set can go. */
export interface Reach {
  arm: Arm;
  shape: SetShape;
  obstacles: readonly Obstacle[];
}

/** A place of the pivot that the set can be pulled out to, and how far it can turn there. */
export interface Stand extends Point, Turn {
  way: ArmWay;
}

/** What can be done, and what ended each way that could not. */
export interface ReachTable {
  stands: Stand[];
  blockedBy: Set<string>;
}

/**
 * Every place of the pivot on a grid that the set can be brought to without crossing anything, with
 * its turn to both sides. The folded place comes first, when it is free. Grid 40 mm unless said.
 */
export function reachTable(reach: Reach, stepMm: number = REACH_STEP_MM): ReachTable {
  const stands: Stand[] = [];
  const blockedBy = new Set<string>();
  for (const pivot of pivotsOf(reach.arm, stepMm)) {
    const stand = standAt(reach, pivot);
    if (typeof stand === 'string') blockedBy.add(stand);
    else if (stand) stands.push(stand);
  }
  return { stands, blockedBy };
}

/** The pivot at a place: what blocks the way there, or nothing when the arm does not go there. */
export function standAt({ arm, shape, obstacles }: Reach, pivot: Point): Stand | string | undefined {
  let blocked: string | undefined;
  // what folds the arm flat keeps the pivot from going further back
  if (pivot.z < arm.folded.z) return undefined;
  const folded = pivot.x === arm.folded.x && pivot.z === arm.folded.z;
  const ways = folded ? [{ at: () => pivot, speed: 0 }] : waysTo(arm, pivot);
  for (const way of ways) {
    const by = meetsOnWay(way, shape, obstacles);
    if (by === undefined) {
      const { lo, hi, loBy, hiBy } = turnAt(arm, shape, pivot, obstacles);
      return { x: pivot.x, z: pivot.z, way, lo, hi, loBy, hiBy };
    }
    blocked ??= by;
  }
  return blocked;
}

/** Places of the pivot to try: folded, then a grid over what the arm reaches, its ends included. */
function pivotsOf(arm: Arm, step: number): Point[] {
  return [arm.folded, ...GRIDS[arm.kind](arm, step)];
}

const GRIDS: Record<Arm['kind'], (arm: Arm, step: number) => Point[]> = {
  none: () => [],
  scissor: (arm, step) => steps(arm.folded.z, arm.extended, step).map((z) => ({ x: arm.root.x, z })),
  one: (arm, step) =>
    steps(arm.shoulder[0] * arm.a, arm.shoulder[1] * arm.a, step).map((along) => polar(arm, arm.a, along / arm.a)),
  two: twoLinkGrid,
};

const polar = ({ root }: Arm, r: number, f: number): Point => ({
  x: root.x + r * Math.sin(f),
  z: root.z + r * Math.cos(f),
});

/** A square grid about the root, and the outermost arc, which the grid would cut short. */
function twoLinkGrid(arm: Arm, step: number): Point[] {
  const most = arm.a + arm.b;
  const points: Point[] = [];
  const count = Math.ceil(most / step);
  for (let i = -count; i <= count; i++)
    for (let k = 0; k <= count; k++) {
      const [dx, dz] = [i * step, Math.max(0, arm.folded.z - arm.root.z) + k * step];
      if (Math.hypot(dx, dz) <= most) points.push({ x: arm.root.x + dx, z: arm.root.z + dz });
    }
  const arc = steps(-(Math.PI / 2) * most, (Math.PI / 2) * most, step);
  return [...points, ...arc.map((along) => polar(arm, most, along / most))];
}

/** From one end to the other in steps no longer than asked, both ends included. */
function steps(from: number, to: number, step: number): number[] {
  const count = Math.max(1, Math.ceil(Math.abs(to - from) / step));
  return Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
}

/** Places next to one, a step away along the arm's freedoms: to refine a pose. */
export function besides(arm: Arm, at: Point, step: number): Point[] {
  switch (arm.kind) {
    case 'none':
      return [];
    case 'scissor':
      return [-step, step]
        .map((d) => ({ x: arm.root.x, z: at.z + d }))
        .filter(({ z }) => z >= arm.folded.z && z <= arm.extended);
    case 'one': {
      const f = Math.atan2(at.x - arm.root.x, at.z - arm.root.z);
      return [-step, step].map((d) => polar(arm, arm.a, f + d / arm.a));
    }
    case 'two':
      return EIGHT.map(([i, k]) => ({ x: at.x + i * step, z: at.z + k * step }));
  }
}

const EIGHT = [
  [-1, -1],
  [0, -1],
  [1, -1],
  [-1, 0],
  [1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
] as const;
