import type { Item, MantelPlan } from '@steddo/contract';
import { courseOf, shiftOf, type MarkedJoints } from '../wall/markedJoints';
import { SAME_MM } from '../primitives/epsilons';

export type Ledger = NonNullable<Item['ledger']>;
type Timber = NonNullable<MantelPlan['timber']>;

/** A hollow mantel's top board when nobody has measured it, mm (3/4 in). Common practice. */
const TOP_BOARD_MM = 19;

/** What a bolt keeps off a timber's lower and upper edge and its ends, in diameters: unloaded and loaded edge and end (NDS 12.5.1, from memory). */
const KEEP = { below: 1.5, above: 4, end: 7 } as const;

/** A bolt is in the middle of its course to this, mm. Ours. */
const OFF_COURSE_MM = 10;

/** As much above the timber's middle as its height's twelfth, where no course decides. Ours. */
const ABOVE_MIDDLE = 1 / 12;

/**
 * The timber that a hollow mantel goes over: as much below the mantel's top as its top board is thick, middle to middle.
 * A mantel's top at 1350 under a board of 25: a timber 90 tall from 1235 to 1325.
 */
export function timberOf({ left, right, top, topThickness = TOP_BOARD_MM }: Item, { length, height }: Ledger): Timber {
  const middle = (left + right) / 2;
  const under = top - topThickness;
  return { left: middle - length / 2, right: middle + length / 2, bottom: under - height, top: under };
}

/** Where its bolts may be up and down; from above to where there is no place for any. */
export const boltLineOf = ({ bottom, top }: Timber, diameter: number): { from: number; to: number } => ({
  from: bottom + KEEP.below * diameter,
  to: top - KEEP.above * diameter,
});

/** One height for all bolts, and the course that they are in. */
export interface BoltRow {
  y: number;
  /** The middle of its course; absent where there are no courses to go by. */
  course?: number;
}

/**
 * The height of the bolts: within 10 mm of the middle of a course, above the timber's middle where there is a choice,
 * else as near to the course's middle as can be. Courses of 75 whose middles are 1232.5 and 1307.5: none for a timber
 * from 1235 to 1325 (1247 to 1293), 1232.5 for one from 1205. Without courses a little above its middle; undefined
 * where none suits.
 */
export function boltRow(timber: Timber, diameter: number, joints: MarkedJoints | undefined): BoltRow | undefined {
  const { from, to } = boltLineOf(timber, diameter);
  if (from > to + SAME_MM) return undefined;
  const clamp = (y: number) => Math.min(to, Math.max(from, y));
  const middle = (timber.bottom + timber.top) / 2;
  const bed = joints?.bed;
  if (!bed) return { y: clamp(middle + (timber.top - timber.bottom) * ABOVE_MIDDLE) };
  const [first, last] = [courseOf(from, bed) - 1, courseOf(to, bed) + 1];
  const rows = Array.from({ length: last - first + 1 }, (_, i) => {
    const course = bed.at + (first + i + 0.5) * bed.every;
    return { y: clamp(course), course };
  });
  return rows
    .filter(({ y, course }) => Math.abs(y - course) <= OFF_COURSE_MM + SAME_MM)
    .sort(
      (a, b) =>
        Number(a.y < middle) - Number(b.y < middle) ||
        Math.abs(a.y - a.course) - Math.abs(b.y - b.course) ||
        Math.abs(a.y - middle) - Math.abs(b.y - middle),
    )[0];
}

/** The least height of a timber with the same top that some course suits, up to twice as high, mm. */
export function leastHeight(timber: Timber, diameter: number, joints: MarkedJoints | undefined): number | undefined {
  const height = timber.top - timber.bottom;
  for (let more = Math.ceil(height); more <= 2 * height; more++)
    if (boltRow({ ...timber, bottom: timber.top - more }, diameter, joints)) return more;
  return undefined;
}

/**
 * Where the bolts are along the timber, the middle one first: in the unit nearest to the timber's middle, then in the
 * whole units nearest to its ends; none where one was spoiled. Units of 215 and joints of 10 from 1000, a timber about
 * 1500: 1557.5 first. Without marked uprights at the middle and as near to the ends as may be.
 */
export function boltPlaces(
  timber: Timber,
  y: number,
  diameter: number,
  joints: MarkedJoints | undefined,
  isSpoiled: (x: number) => boolean = () => false,
): number[] {
  const { left, right } = timber;
  const middle = (left + right) / 2;
  const [from, to] = [left + KEEP.end * diameter, right - KEEP.end * diameter];
  const all = joints?.bed && joints.upright ? unitMiddles(joints, y, from, to) : everyFew(middle, from, to);
  const free = all.filter((x) => !isSpoiled(x));
  const [centre] = [...free].sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
  if (centre === undefined) return [];
  const [first, last] = [free[0]!, free.at(-1)!];
  return [centre, ...(first < centre - SAME_MM ? [first] : []), ...(last > centre + SAME_MM ? [last] : [])];
}

/** The middles of the units that a timber is over, left to right. */
function unitMiddles({ bed, upright, bond }: MarkedJoints, y: number, from: number, to: number): number[] {
  const { at, every } = upright!;
  const zero = at + shiftOf(courseOf(y, bed!), every, bond) + every / 2;
  const first = Math.ceil((from - zero) / every);
  const count = Math.max(0, Math.floor((to - zero) / every) - first + 1);
  return Array.from({ length: count }, (_, i) => zero + (first + i) * every);
}

/** Places along a timber whose units nobody knows, its middle among them, mm apart. */
const APART_MM = 70;

function everyFew(middle: number, from: number, to: number): number[] {
  if (from >= to) return [middle];
  const half = Math.max(1, Math.floor((to - middle) / APART_MM));
  const step = (to - middle) / half;
  return Array.from({ length: 2 * half + 1 }, (_, i) => middle + (i - half) * step);
}
