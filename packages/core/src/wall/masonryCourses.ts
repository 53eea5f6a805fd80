import type { Build, Course, Evidence } from '@steddo/contract';

/**
 * Courses and joints of a masonry wall, set out from measured joints and the unit's size. A joint is
 * marked where an upright joint stands on a level one; the units are laid half over half.
 *
 *   course height = unit + joint, bond = unit + joint; every other course half a bond over
 *
 * Several marks: the mean of where each would have the first course and the first upright joint. Block
 * 440 x 215 with 10 mm joints marked at (1500, 1420): courses every 225 mm, joints every 450 mm.
 * Undefined without a unit's size or a mark.
 */
export function masonryCourses(
  build: Build,
  evidence: readonly Evidence[],
  wall: { width: number; height: number },
): Course[] | undefined {
  const marks = evidence.filter((e) => e.kind === 'joint');
  const [first] = marks;
  if (!build.unit || !first) return undefined;
  const joint = build.unit.joint ?? USUAL_JOINT_MM;
  const [bond, rise] = [build.unit.width + joint, build.unit.height + joint];
  // how far each mark is off the grid of the first one, folded into half a course and half a bond
  const offs = marks.map((m) => {
    const up = Math.round((m.y - first.y) / rise);
    return { x: folded(m.x - first.x - shiftOf(up, bond), bond), y: m.y - first.y - up * rise };
  });
  const mean = (of: (o: { x: number; y: number }) => number) => offs.reduce((s, o) => s + of(o), 0) / offs.length;
  const [x0, y0] = [first.x + mean((o) => o.x), first.y + mean((o) => o.y)];
  const lowest = Math.floor(-y0 / rise);
  const highest = Math.ceil((wall.height - y0) / rise);
  return Array.from({ length: highest - lowest }, (_, i): Course => {
    const k = lowest + i;
    return {
      bottom: Math.max(0, y0 + k * rise + joint / 2),
      top: Math.min(wall.height, y0 + (k + 1) * rise - joint / 2),
      joints: jointsAlong(x0 + shiftOf(k, bond), bond, wall.width),
    };
  }).filter((c) => c.top > c.bottom);
}

/** Mortar between units when nobody has measured it, mm. Common practice. */
export const USUAL_JOINT_MM = 10;

const shiftOf = (course: number, bond: number): number => (course % 2 === 0 ? 0 : bond / 2);

const folded = (off: number, bond: number): number => off - Math.round(off / bond) * bond;

function jointsAlong(x: number, bond: number, width: number): number[] {
  const first = Math.ceil(-x / bond);
  const last = Math.floor((width - x) / bond);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => x + (first + i) * bond);
}
