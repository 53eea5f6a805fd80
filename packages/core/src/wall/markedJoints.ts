import type { Build, Evidence, Zone } from '@steddo/contract';
import { isIn, mainZones, wallAt, type Wall } from '../room/wallAt';

/** Where joints run one way: the middle of one of them, how far to the next, how sure that is, mm. */
export interface JointLine {
  at: number;
  every: number;
  sd: number;
}

export type Bond = NonNullable<NonNullable<Build['unit']>['bond']>;

/** Joints of a masonry wall as far as they were marked: level beds, and uprights in line, or half a unit over in every other course. */
export interface MarkedJoints {
  unit: { width: number; height: number };
  joint: number;
  /** Half over half, or joint above joint. */
  bond: Bond;
  bed?: JointLine;
  upright?: JointLine;
}

/** A joint is marked to this, mm (one standard deviation). Ours. */
const JOINT_SD_MM = 2;

/** Mortar between units when nobody has measured it, mm. Common practice. */
export const USUAL_JOINT_MM = 10;

/** Sizes of units whose own nobody has measured, mm: metric brick and block with 10 mm joints. Common practice. */
const USUAL_UNITS = {
  brick: { width: 215, height: 65 },
  block: { width: 440, height: 215 },
  stone: { width: 300, height: 150 },
} as const;

/** A unit of the wall; concrete has none. */
export function unitOf({ masonry = 'block', unit }: Build): { width: number; height: number } | undefined {
  return masonry === 'concrete' ? undefined : (unit ?? USUAL_UNITS[masonry]);
}

/**
 * What marked joints show: a bed by its marks, the mean of where each would have the first one; uprights only
 * where a bed is known, because every other course stands half a unit over. A mark without a way is where both meet.
 * Undefined for concrete. Two marks know a bed to 1.4 mm.
 */
export function markedJoints(build: Build, evidence: readonly Evidence[]): MarkedJoints | undefined {
  const unit = unitOf(build);
  if (!unit) return undefined;
  const joint = build.unit?.joint ?? USUAL_JOINT_MM;
  const marks = evidence.flatMap((e) => (e.kind === 'joint' && (e.wall ?? 'main') === 'main' ? [e] : []));
  const beds = marks.filter((m) => m.runs !== 'vertical');
  const [firstBed] = beds;
  const bond = build.unit?.bond ?? 'stretcher';
  const base = { unit, joint, bond };
  if (!firstBed) return base;
  const rise = unit.height + joint;
  const bed = lineOf(
    beds.map((m) => m.y),
    rise,
  );
  const along = unit.width + joint;
  const uprights = marks
    .filter((m) => m.runs !== 'horizontal')
    // where both meet it is the upright of the course above
    .map((m) => m.x - shiftOf(courseOf(m.runs === 'vertical' ? m.y : m.y + rise / 2, bed), along, bond));
  return { ...base, bed, ...(uprights.length > 0 ? { upright: lineOf(uprights, along) } : {}) };
}

/** Marks of one kind of joint that are further apart than this are not of the same wall, mm. Ours. */
const DISAGREE_MM = 10;

/** How far a mark is from where another would have its joint, either way, mm. */
const offBy = (a: number, b: number, every: number): number => a - b - Math.round((a - b) / every) * every;

/** The marks that most others agree with; of as many on both sides those about the latest. */
function agreeing(marks: readonly number[], every: number): number[] {
  const about = marks.map((m) => marks.filter((o) => Math.abs(offBy(o, m, every)) <= DISAGREE_MM));
  return about.reduce((best, own) => (own.length >= best.length ? own : best), []);
}

/** The mean of marks of one kind of joint, each taken to the first one's; what disagrees with most of them is left out. */
function lineOf(all: readonly number[], every: number): JointLine {
  const marks = agreeing(all, every);
  const [first = 0] = marks;
  const offs = marks.map((m) => offBy(m, first, every));
  return {
    at: first + offs.reduce((a, b) => a + b, 0) / marks.length,
    every,
    sd: JOINT_SD_MM / Math.sqrt(marks.length),
  };
}

/** Marks of joints that the others of their part of the wall leave no place for: by their ids. */
export function oddJoints(wall: Wall, evidence: readonly Evidence[]): string[] {
  const jointsAt = jointsOfWall(wall, evidence);
  return evidence.flatMap((e) => {
    if (e.kind !== 'joint' || (e.wall ?? 'main') !== 'main') return [];
    const { bed, upright, bond } = jointsAt(e.x, e.y) ?? {};
    if (!bed) return [];
    const offBed = e.runs === 'vertical' ? 0 : offBy(e.y, bed.at, bed.every);
    const course = courseOf(e.runs === 'vertical' ? e.y : e.y + bed.every / 2, bed);
    const line = upright && upright.at + shiftOf(course, upright.every, bond ?? 'stretcher');
    const offUpright = e.runs === 'horizontal' || !upright ? 0 : offBy(e.x, line!, upright.every);
    return Math.max(Math.abs(offBed), Math.abs(offUpright)) > DISAGREE_MM ? [e.id] : [];
  });
}

/** The course that a height is in, counted up from the marked bed. */
export const courseOf = (y: number, bed: JointLine): number => Math.floor((y - bed.at) / bed.every);

/** A course's number, counted up from the lowest that shows above the floor, in whatever part of the wall it is. */
export const courseNumber = (course: number, bed: JointLine, joint: number): number =>
  course - courseOf(joint / 2, bed) + 1;

/** How far right a course's uprights stand of the marked ones. */
export const shiftOf = (course: number, along: number, bond: Bond): number =>
  bond === 'stack' || Math.abs(course) % 2 === 0 ? 0 : along / 2;

/** The parts of a wall that are laid otherwise than the rest of it. */
export const laidOtherwise = (wall: Wall): Zone[] =>
  mainZones(wall).filter(({ build }) => build?.kind ?? build?.masonry ?? build?.unit);

/**
 * The joints that were marked, for each place of a wall: those of a part in another masonry are its own. Each set of
 * them is worked out once.
 */
export function jointsOfWall(
  wall: Wall,
  evidence: readonly Evidence[],
): (x: number, y: number) => MarkedJoints | undefined {
  const zones = laidOtherwise(wall);
  const partAt = (x: number, y: number) => zones.findLast((z) => isIn(z, x, y));
  const known = new Map<Zone | undefined, MarkedJoints | undefined>();
  return (x, y) => {
    const part = partAt(x, y);
    if (!known.has(part)) {
      const own = evidence.filter((e) => e.y !== undefined && partAt(e.x, e.y) === part);
      known.set(part, markedJoints(wallAt(wall, x, y).build, own));
    }
    return known.get(part);
  };
}
