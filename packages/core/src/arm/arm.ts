import type { Mount, Side } from '@steddo/contract';
import { toRad } from '../primitives/convert';
import type { Point } from '../primitives/convex';
import { SAME_MM } from '../primitives/epsilons';

/**
 * The linkage seen from above. z runs out of the wall, angles from straight out, positive to the right.
 *
 *        wall ═══╦═════════════   root: on the plate, at its thickness
 *                 ╲ a              elbow = root + a (sin s, cos s)
 *                  ●               pivot = elbow + b (sin (s+e), cos (s+e))
 *                  │ b             back  = pivot + c (sin yaw, cos yaw)
 *                  ◉ pivot
 *               ═══╧═══ set's back, c in front of the pivot, turned by yaw
 */
export interface Arm {
  kind: 'none' | 'scissor' | 'one' | 'two';
  root: Point;
  /** Links, mm; the label's reach wins, so that they are taken in proportion to it. */
  a: number;
  b: number;
  /** From the pivot to the set's back, spacers included, mm. */
  head: number;
  shoulder: Range;
  elbow: Range;
  /** How far the set may turn against the wall. */
  swivel: Range;
  /** Where the pivot is when folded; the label's depth and offset win over the linkage. */
  folded: Point;
  foldedJoints: Joints;
  /** The pivot's furthest place straight out. */
  extended: number;
  /** Its links are not known: taken as going straight out from folded to extended. */
  assumed: boolean;
}

/** Lower and upper limit, radians. */
export type Range = readonly [number, number];
export interface Joints {
  shoulder: number;
  elbow: number;
}

/** A mount that lets the set turn or come out; what its label says is enough, and what it says cannot move does not. */
export const moves = ({ arm, swivel, depth }: Mount): boolean => {
  if (arm) return true;
  if (!swivel || depth.extended === undefined) return false;
  return swivel.left !== 0 || swivel.right !== 0 || depth.extended - depth.folded > 1;
};

/**
 * The arm of a mount whose plate has its middle at `plateX`, folded to `fold`, with spacers of so
 * many mm behind the set and its plate's back so far in front of the wall. Undefined for a mount that does not
 * move. Links 230 + 230 on a plate 3 thick with a head of 60 reach 523; a label of 520 takes each as 228.5.
 */
export function armOf(mount: Mount, plateX: number, fold: Side, spacerMm = 0, planeMm = 0): Arm | undefined {
  if (!moves(mount)) return undefined;
  const { arm, depth } = mount;
  const head = arm?.head ?? 0;
  const kind = kindOf(mount);
  const thickness = mount.plate?.thickness ?? 0;
  const root = { x: plateX + (arm?.rootX ?? 0), z: planeMm + thickness };
  const [a, b] = scaledLinks(mount, thickness, head);
  const { shoulder, elbow } = limitsOf(mount);
  const joints = foldJoints({ a, b, kind, shoulder, elbow }, fold);
  const foldedZ = planeMm + depth.folded - head;
  return {
    kind,
    root,
    a,
    b,
    head: head + spacerMm,
    shoulder,
    elbow,
    swivel: swivelOf(mount),
    folded: { x: plateX + foldOffsetOf(mount, fold), z: foldedZ },
    foldedJoints: joints,
    extended: kind === 'none' ? foldedZ : planeMm + reachOf(mount) - head,
    assumed: arm === undefined || (arm.links?.length ?? 0) > 2,
  };
}

function kindOf({ arm }: Mount): Arm['kind'] {
  if (!arm || arm.kind === 'scissor') return 'scissor';
  const links = arm.links?.length ?? 0;
  return links === 0 ? 'none' : links === 1 ? 'one' : links === 2 ? 'two' : 'scissor';
}

/** A turn without a stated limit is free. */
const FREE: Range = [-Math.PI, Math.PI];
/** Shoulder without a stated limit: flat against the wall on either side. */
const FLAT: Range = [-Math.PI / 2, Math.PI / 2];

function limitsOf({ arm }: Mount): { shoulder: Range; elbow: Range } {
  const range = (pair: readonly [number, number] | undefined, other: Range): Range =>
    pair ? [toRad(pair[0]), toRad(pair[1])] : other;
  return {
    shoulder: range(arm?.limits?.shoulder, FLAT),
    elbow: range(arm?.limits?.elbow, FREE),
  };
}

const swivelOf = ({ swivel }: Mount): Range =>
  swivel ? [-toRad(Math.abs(swivel.left)), toRad(Math.abs(swivel.right))] : FLAT;

/**
 * How far its plate may stand to the side of what hangs on it, each way, mm: the set's slide on its plate; of a monitor arm,
 * which brings its head there by itself, as far aside as it reaches half way out. Links of 200 and 200 on a plate of 4 with a
 * head of 56, folded 95, out 460: half way its pivot is 217.5 in front of its root, so that 335.7 is left sideways.
 */
export function asideOf(mount: Mount): number {
  const arm = mount.type === 'monitor-arm' ? armOf(mount, 0, 'left') : undefined;
  if (arm?.kind !== 'two') return mount.slide ?? 0;
  const out = (arm.folded.z + arm.extended) / 2 - arm.root.z;
  return Math.sqrt(Math.max(0, (arm.a + arm.b) ** 2 - out ** 2));
}

/** How far out the linkage by itself brings the set's back, straight out, mm; undefined without links. */
export function linkageReach({ arm, plate }: Mount): number | undefined {
  if (!arm) return undefined;
  if (arm.kind === 'scissor') return arm.range?.max;
  const links = arm.links ?? [];
  if (links.length === 0) return undefined;
  return (plate?.thickness ?? 0) + links.reduce((sum, l) => sum + l, 0) + (arm.head ?? 0);
}

/** The set's back straight out at full reach, mm: by the label, else by the linkage, else as folded. */
export const reachOf = (mount: Mount): number => mount.depth.extended ?? linkageReach(mount) ?? mount.depth.folded;

/** The links in proportion, so that together they give the label's reach. */
function scaledLinks(mount: Mount, thickness: number, head: number): [number, number] {
  const [a = 0, b = 0, more] = mount.arm?.links ?? [];
  if (mount.arm?.kind !== 'links' || more !== undefined || a === 0) return [0, 0];
  const share = (reachOf(mount) - thickness - head) / (a + b);
  return share > 0 ? [a * share, b * share] : [a, b];
}

type Folding = Pick<Arm, 'a' | 'b' | 'kind' | 'shoulder' | 'elbow'>;

/**
 * The joints when folded so that the set's middle comes to the given side: the longer link lies on
 * that side of the root, flat against the shoulder's limit, and the other one folds back over it.
 */
function foldJoints({ a, b, kind, shoulder, elbow }: Folding, fold: Side): Joints {
  const right = (fold === 'right') === (kind === 'one' || a >= b);
  return right ? { shoulder: shoulder[1], elbow: elbow[0] } : { shoulder: shoulder[0], elbow: elbow[1] };
}

/** Depth and offset of the set's back when folded, by the linkage alone, mm; undefined without links. */
export function linkageFold(mount: Mount, fold: Side): { depth: number; offset: number } | undefined {
  const { arm } = mount;
  const [a = 0, b = 0, more] = arm?.links ?? [];
  if (arm?.kind !== 'links' || a === 0 || more !== undefined) return undefined;
  const at = reachedBy(
    { a, b, root: { x: arm.rootX ?? 0, z: mount.plate?.thickness ?? 0 } },
    foldJoints({ a, b, kind: kindOf(mount), ...limitsOf(mount) }, fold),
  );
  return { depth: at.z + (arm.head ?? 0), offset: at.x };
}

/**
 * How far right of the plate's middle the folded set's middle hangs, mm: the measured fold offset to
 * the side of the fold, or else what the linkage gives. Offset 127 folded left: -127.
 */
export function foldOffsetOf(mount: Mount, fold: Side): number {
  const { arm } = mount;
  if (!arm) return 0;
  if (arm.foldOffset !== undefined) return fold === 'left' ? -arm.foldOffset : arm.foldOffset;
  return linkageFold(mount, fold)?.offset ?? arm.rootX ?? 0;
}

type Links = Pick<Arm, 'a' | 'b' | 'root'>;

/** Forward: where joints put the pivot, mm. Links 100 and 50, shoulder 90 degrees, elbow -90: (100, 50) from the root. */
export function reachedBy({ a, b, root }: Links, { shoulder, elbow }: Joints): Point {
  const forearm = shoulder + elbow;
  return {
    x: root.x + a * Math.sin(shoulder) + b * Math.sin(forearm),
    z: root.z + a * Math.cos(shoulder) + b * Math.cos(forearm),
  };
}

/**
 * Inverse: the joints that put the pivot at a place, both ways of the elbow, those within the limits.
 * With r the distance from the root and f its direction, the law of cosines over the triangle a, b, r:
 *
 *   cos e = (r^2 - a^2 - b^2) / (2 a b)          two elbows, +e and -e
 *   s     = f - atan2(b sin e, a + b cos e)      the forearm swings the pivot off the upper arm by that
 *
 * Links 100 and 50, pivot 100 right and 50 out: shoulder 90, elbow -90 degrees, and its mirror image.
 */
export function jointsFor(arm: Arm, pivot: Point): Joints[] {
  const [dx, dz] = [pivot.x - arm.root.x, pivot.z - arm.root.z];
  const r = Math.hypot(dx, dz);
  const f = Math.atan2(dx, dz);
  const { a, b } = arm;
  if (arm.kind === 'one') return [{ shoulder: f, elbow: 0 }].filter((j) => within(arm, j, r - a));
  const cos = (r * r - a * a - b * b) / (2 * a * b);
  if (Math.abs(cos) > 1 + SAME_MM) return [];
  const bend = Math.acos(Math.min(1, Math.max(-1, cos)));
  const both = bend === 0 ? [0] : [bend, -bend];
  return both
    .map((elbow) => ({
      shoulder: wrapped(f - Math.atan2(b * Math.sin(elbow), a + b * Math.cos(elbow))),
      elbow,
    }))
    .filter((j) => within(arm, j, 0));
}

/** Off the circle of a single link by so much is not on it, mm. */
const ON_ARC_MM = 1e-3;
/** Rounding of a joint at its limit, radians. */
const AT_LIMIT = 1e-9;

const within = (arm: Arm, { shoulder, elbow }: Joints, offMm: number): boolean =>
  Math.abs(offMm) <= ON_ARC_MM && inRange(shoulder, arm.shoulder) && inRange(elbow, arm.elbow);

const inRange = (value: number, [lo, hi]: Range): boolean => value >= lo - AT_LIMIT && value <= hi + AT_LIMIT;

/** The same direction between minus and plus half a turn. */
export const wrapped = (rad: number): number => Math.atan2(Math.sin(rad), Math.cos(rad));
