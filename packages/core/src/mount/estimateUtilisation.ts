import type { Fit, Mount, Screen } from '@steddo/contract';
import { armOf, moves, reachOf } from '../arm/arm';
import { spread } from '../plate/chooseSlots';
import { fromMount } from '../fixing/kit';
import { usableSlots } from '../plate/usableSlots';
import { WALL_KINDS } from '../room/wallKinds';
import { wallAt, type Wall } from '../room/wallAt';
import { middleOf } from '../load/fastenerGroup';
import { worstLoad } from '../load/worstLoad';
import { fastenerCapacity, plateOf, type YieldTable } from '../fixing/fastenerCapacity';
import { withTravel, type LoadPose } from '../load/loadPoses';
import { SET_THICKNESS_MM, STUD_SPACING_MM } from '../room/usualSizes';

/** What the worst fastener has to hold over what it may, and whether a label that covers it could carry that. */
export interface Estimate {
  utilisation: number;
  coverable: boolean;
}

/**
 * What the worst fastener of a mount has to hold, over what it may, without looking for its place: its own
 * fixings in the outermost rows of one column, or of two as far apart as the studs, the set before their
 * middle, its arm straight out, straight aside and halfway. For judging thousands of mounts.
 * Undefined where the plate is not measured, or nothing is rated for this wall.
 */
export function estimateUtilisation(
  mount: Mount,
  screen: Screen,
  wall: Wall,
  packing: number,
  vehicle: boolean,
  table?: YieldTable,
): Estimate | undefined {
  const fastener = fromMount(mount, wall.build.kind);
  const count = mount.walls[wall.build.kind]?.fixing?.count;
  const { plate } = mount;
  const into = WALL_KINDS[wall.build.kind].main;
  if (!fastener || !count || !plate?.slots?.length || !into) return undefined;
  const slots = usableSlots({ mount, fixing: fastener }).map((s) => s.slot);
  const rows = [...new Set(slots.map((s) => s.y))].sort((a, b) => b - a);
  const columns = columnsOf(mount, wall.build, slots);
  const perColumn = Math.min(rows.length, Math.ceil(count / columns.length));
  if (perColumn === 0) return undefined;
  const ys = spread(rows, perColumn);
  const points = columns.flatMap((x) => ys.map((y) => ({ x, y })));
  const capacity = fastenerCapacity({
    wall,
    plane: packing + wallAt(wall, wall.width / 2, wall.height / 2).face,
    chosen: packing,
    vehicle,
    plateMm: plateOf(mount),
    fastener,
    into,
    at: { x: wall.width / 2, y: wall.height / 2 },
    slot: slots[0]!,
    apart: ys.length > 1 ? ys[0]! - ys[1]! : Infinity,
  });
  if (typeof capacity === 'string') return undefined;
  const half = plate.width / 2;
  const group = {
    points,
    solid: into === 'masonry' || into === 'backing',
    plate: { left: -half, right: half, bottom: 0, top: plate.height },
  };
  const middle = plate.height / 2;
  const at = {
    middle: middleOf(points),
    plate: { x: 0, y: middle },
    centreY: middle,
    bottomY: middle - (screen.height ?? screen.diagonal / 2) / 2,
    packing: 0,
  };
  const load = { screen, mount, group, capacities: points.map(() => capacity), at };
  const worst = worstLoad(load, withTravel(roughPoses(mount, screen), vehicle), table);
  return worst && { utilisation: worst.utilisation, coverable: Math.max(...worst.each.beyond) <= 1 };
}

function columnsOf(mount: Mount, build: Wall['build'], slots: readonly { x: number }[]): number[] {
  const [left, right] = [Math.min(...slots.map((s) => s.x)), Math.max(...slots.map((s) => s.x))];
  const studs = build.kind === 'timber-stud' || build.kind === 'metal-stud';
  const wanted = studs ? (mount.studs?.count ?? 2) : 2;
  if (wanted < 2 || right - left < 1) return [(left + right) / 2];
  if (!studs) return [left, right];
  const apart = build.spacing ?? STUD_SPACING_MM;
  return Array.from({ length: wanted }, (_, i) => (i - (wanted - 1) / 2) * apart);
}

function roughPoses(mount: Mount, screen: Screen): LoadPose[] {
  const thick = screen.thickness ?? SET_THICKNESS_MM;
  const pose = (x: number, back: number): LoadPose => ({
    x,
    standoff: back + thick / 2,
    frontX: x,
    frontStandoff: back + thick,
    extension: back,
    yaw: 0,
    // a seat may be where it asks most: the longest of loads, so that the list is never milder than the plan
    stays: true,
  });
  if (!moves(mount)) return [pose(0, mount.depth.folded)];
  const arm = armOf(mount, 0, 'left')!;
  const [root, r] = [arm.root, arm.a + arm.b];
  if (r === 0) return [pose(root.x, reachOf(mount))];
  const turn = arm.swivel[1];
  return SWUNG.map((swung) => {
    const pivot = { x: root.x + r * Math.sin(swung), z: root.z + r * Math.cos(swung) };
    const straight = pose(pivot.x, Math.max(mount.depth.folded, pivot.z + arm.head));
    if (swung === 0) return straight;
    // turned on its head the set's weight goes further aside, and less far out
    const out = arm.head + thick / 2;
    const aside = pivot.x + out * Math.sin(turn);
    return { ...straight, x: aside, standoff: pivot.z + out * Math.cos(turn), frontX: aside };
  });
}

/** An arm stretched straight out, and swung aside with its set turned with it, radians: its worst is seldom at either end. */
const SWUNG = [0, 40, 60, 75, 90].map((deg) => (deg * Math.PI) / 180);

/** The rule for the list of mounts, by the limits of a plan: over 1 a caution as far as a label may cover it, then a stop. */
export function holdsRule(estimate: Estimate | undefined): Fit[] {
  if (!estimate) return [];
  const { utilisation, coverable } = estimate;
  const ok = utilisation <= 1;
  const level = ok ? 'info' : coverable ? 'caution' : 'stop';
  return [{ rule: 'holds', ok, level, value: utilisation, limit: 1, margin: 1 - utilisation, unit: 'ratio' }];
}
