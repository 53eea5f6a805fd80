import { z } from 'zod';
import { onWall, side } from './parts';
import { loads, scheme } from './schemePlan';
import { packing } from './facesPlan';
import { backing, course, hazards, looking, nextLook, nogging } from './wallPlan';
import { stud } from './studPlan';
import { working } from './working';

/** A set in a corner: how far out it stands, and where it is held on either wall. Lengths mm, from the corner. */

const num = z.number();

/** One foot of a rack, or the one plate of an arm. */
const foot = z.strictObject({
  wall: onWall,
  /** Its middle, from the corner. */
  x: num,
  /** Of a rack: outside or inside of its pivot. */
  stance: z.enum(['outer', 'inner']).optional(),
  working,
  /** What of the set's weight it carries, 0 to 1, and how far out of its wall that pulls. */
  share: num,
  pullsAt: num,
});

export const cornerPlan = z.strictObject({
  /** Which side wall the corner is at, and its angle. */
  side,
  angle: num,
  /** From the corner to the middle of the set's back and of its front, along the line that halves the corner. */
  standOff: num,
  front: num,
  /** Which part of the set comes to which wall first. */
  touches: z.strictObject({ wall: onWall, at: z.enum(['back-left', 'back-right', 'front-left', 'front-right']) }),
  /** Where that is on its wall, from the corner. */
  touchAt: num,
  /** Absent where nothing of the mount is drawn. */
  feet: z.array(foot).optional(),
  /** The feet outside or inside of their pivots. */
  stance: z.enum(['outer', 'inner']).optional(),
  /** Where along either wall its pivot is, from the corner: of a rack each its own, of an arm the one that it has. */
  pivot: z.strictObject({ main: num, side: num }).optional(),
  /** Of an arm: how far it has to reach from its root to the pivot, and what its links reach. */
  reach: z.strictObject({ needed: num, least: num, most: num, working }).optional(),
  /** The set seen from above, corner first along main wall's own axes: x along it, z out of it. */
  outline: z.array(z.strictObject({ x: num, z: num })),
  workings: z.strictObject({ standOff: working, front: working, touchAt: working }),
});

/** What is known of a corner's other wall, and how the foot there is held: as a plan says it of its main wall. */
export const sideWallPlan = z.strictObject({
  side,
  studs: z.array(stud).optional(),
  wood: z.strictObject({ step: num, p: z.array(num) }).optional(),
  odd: z.array(z.string()).optional(),
  noggings: z.array(nogging).optional(),
  backing: backing.optional(),
  courses: z.array(course).optional(),
  hazards: hazards.optional(),
  nextLook: nextLook.optional(),
  looking: looking.optional(),
  scheme: scheme.extend({ alternatives: z.array(scheme).optional() }).optional(),
  packing: z.array(packing).optional(),
  loads: loads.optional(),
  /** The foot's outline on its wall. */
  plate: z.strictObject({ left: num, right: num, bottom: num, top: num, x: num }).optional(),
});

export type CornerPlan = z.infer<typeof cornerPlan>;
export type CornerFoot = z.infer<typeof foot>;
export type SideWallPlan = z.infer<typeof sideWallPlan>;
