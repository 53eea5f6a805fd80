import type { Job, Plan } from '@steddo/contract';
import { cornersOf, poseOf, reachModelOf, type SetPoseMm } from '@steddo/core';
import { seenAt, type Camera, type PicturePlace, type SeenWall, type WallPlane } from '@steddo/core/photo';
import { setDepth } from './setDepth';

/** What is drawn on a photograph, in the picture's own pixels, in the order in which it is drawn. */
export interface PhotoShape {
  role: 'shadow' | 'side' | 'face' | 'screen' | 'plate' | 'hole' | 'outline';
  points: readonly PicturePlace[];
  /** A line and no surface. */
  open?: boolean;
}

export interface PhotoAsk {
  plane: WallPlane;
  camera: Camera;
  /** Where the arm holds it; against the wall without. */
  pose?: SetPoseMm | undefined;
  /** Plate and holes too, for whoever installs it. */
  marks?: boolean;
}

interface Place {
  x: number;
  y: number;
  z: number;
}

/** Frame round the picture on its face, mm. Common practice. */
const FRAME_MM = 9;
/** How far down the light throws the shadow, of the depth in front of the wall. */
const SHADOW_DOWN = 0.45;
/** Steps in which the shadow fades, each larger by so much of the depth. */
const SHADOW_STEPS = [0.1, 0.25, 0.4, 0.55];
const HOLE_ARM_MM = 22;

/** The set in true perspective on the photograph of its wall: shadow, the sides that are seen, face and picture. */
export function photoDrawing(job: Job, plan: Plan, ask: PhotoAsk): PhotoShape[] {
  const box = bodyOf(job, plan, ask.pose);
  if (!box) return [];
  const { plane, camera } = ask;
  const see = (p: Place) => seenAt(plane, camera, p.x, p.y, p.z);
  const drawn = (role: PhotoShape['role'], places: readonly Place[], open = false): PhotoShape[] => {
    const points = places.map(see);
    return points.every((p) => p !== undefined)
      ? [{ role, points: points as PhotoShape['points'], ...(open ? { open } : {}) }]
      : [];
  };
  const marks = ask.marks ? marksOf(plan).flatMap(({ role, places, open }) => drawn(role, places, open)) : [];
  // the installer sees what is behind it, as through glass
  return [
    ...shadowsOf(box).flatMap((s) => drawn('shadow', s)),
    ...sidesSeen(box, see).flatMap((s) => drawn('side', s)),
    ...drawn('face', frontOf(box)),
    ...drawn('screen', insetOf(box)),
    ...marks,
  ];
}

/** The four corners of the face as they are seen, from the upper left round to the right; undefined where there is no place for the set. */
export function faceInPicture(job: Job, plan: Plan, ask: PhotoAsk): PicturePlace[] | undefined {
  const box = bodyOf(job, plan, ask.pose);
  const points = box && frontOf(box).map((p) => seenAt(ask.plane, ask.camera, p.x, p.y, p.z));
  return points?.every((p) => p !== undefined) ? (points as PicturePlace[]) : undefined;
}

/** The set's body from above, and between which heights: back left, back right, front right, front left. */
interface Body {
  floor: readonly { x: number; z: number }[];
  bottom: number;
  top: number;
}

function bodyOf(job: Job, plan: Plan, pose: SetPoseMm | undefined): Body | undefined {
  const { placement } = plan;
  if (!placement || placement.conflict) return undefined;
  const { left, right, bottom, top } = placement;
  const model = pose && reachModelOf(job, plan);
  if (model) return { floor: cornersOf(model.reach.shape, poseOf(pose)), bottom, top };
  const { back, face } = setDepth(job, plan);
  const floor = [
    { x: left, z: back },
    { x: right, z: back },
    { x: right, z: face },
    { x: left, z: face },
  ];
  return { floor, bottom, top };
}

const at = ({ x, z }: { x: number; z: number }, y: number): Place => ({ x, y, z });

function frontOf({ floor, bottom, top }: Body): Place[] {
  const [, , right, left] = floor as [Place, Place, Place, Place];
  return [at(left, top), at(right, top), at(right, bottom), at(left, bottom)];
}

/** The picture itself, inside of its frame. */
function insetOf(body: Body): Place[] {
  const [, , right, left] = body.floor as [Place, Place, Place, Place];
  const width = Math.hypot(right.x - left.x, right.z - left.z);
  const share = Math.min(0.2, FRAME_MM / width);
  const between = (from: { x: number; z: number }, to: { x: number; z: number }) => ({
    x: from.x + (to.x - from.x) * share,
    z: from.z + (to.z - from.z) * share,
  });
  const floor = [...body.floor.slice(0, 2), between(right, left), between(left, right)];
  return frontOf({ floor, bottom: body.bottom + FRAME_MM, top: body.top - FRAME_MM });
}

type See = (p: Place) => PicturePlace | undefined;

/** Of the body's sides those whose outside is seen: in the picture they go round the way the face does. */
function sidesSeen({ floor, bottom, top }: Body, see: See): Place[][] {
  const [bl, br, fr, fl] = floor as [Place, Place, Place, Place];
  const sides = [
    [at(bl, top), at(fl, top), at(fl, bottom), at(bl, bottom)],
    [at(fr, top), at(br, top), at(br, bottom), at(fr, bottom)],
    [at(bl, top), at(br, top), at(fr, top), at(fl, top)],
    [at(fl, bottom), at(fr, bottom), at(br, bottom), at(bl, bottom)],
  ];
  return sides.filter((side) => {
    const points = side.map(see);
    return points.every((p) => p !== undefined) && turnOf(points as PicturePlace[]) > 0;
  });
}

/** Twice the area, positive where the picture's points go round as a clock's hand. */
const turnOf = (points: readonly PicturePlace[]): number =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length]!;
    return sum + p.u * q.v - q.u * p.v;
  }, 0);

/** On the wall, lower than the set by some of its depth, fading in steps. */
function shadowsOf({ floor, bottom, top }: Body): Place[][] {
  const xs = floor.map((p) => p.x);
  const depth = floor.reduce((sum, p) => sum + p.z, 0) / floor.length;
  const down = SHADOW_DOWN * depth;
  return SHADOW_STEPS.map((share) => {
    const more = share * depth;
    const [left, right] = [Math.min(...xs) - more, Math.max(...xs) + more];
    const [low, high] = [bottom - down - more, top - down + more];
    return [
      { x: left, y: high, z: 0 },
      { x: right, y: high, z: 0 },
      { x: right, y: low, z: 0 },
      { x: left, y: low, z: 0 },
    ];
  });
}

interface Marked {
  role: 'plate' | 'hole';
  places: Place[];
  open?: boolean;
}

function marksOf(plan: Plan): Marked[] {
  const plate = plan.placement?.plate;
  const corners = plate && [
    { x: plate.left, y: plate.top, z: 0 },
    { x: plate.right, y: plate.top, z: 0 },
    { x: plate.right, y: plate.bottom, z: 0 },
    { x: plate.left, y: plate.bottom, z: 0 },
  ];
  const own = (plan.holes ?? []).filter((h) => h.wall === undefined);
  const crosses = own.flatMap(({ x, y }): Marked[] => [
    {
      role: 'hole',
      open: true,
      places: [
        { x: x - HOLE_ARM_MM, y, z: 0 },
        { x: x + HOLE_ARM_MM, y, z: 0 },
      ],
    },
    {
      role: 'hole',
      open: true,
      places: [
        { x, y: y - HOLE_ARM_MM, z: 0 },
        { x, y: y + HOLE_ARM_MM, z: 0 },
      ],
    },
  ]);
  return [...(corners ? [{ role: 'plate' as const, places: corners }] : []), ...crosses];
}

/** What was laid, or the things that stand in the room, outlined where they are seen: whether the picture agrees shows at once. */
export function outlinesOf(job: Job, { plane, camera }: SeenWall, what: 'references' | 'things'): PhotoShape[] {
  const boxes: Place[][] =
    what === 'references'
      ? plane.references.map((corners) => corners.map(({ x, y }) => ({ x, y, z: 0 })))
      : (job.room.objects ?? [])
          .filter((o) => (o.wall ?? 'main') === 'main')
          .map(({ left, right, bottom, top, out = 0 }) => [
            { x: left, y: top, z: out },
            { x: right, y: top, z: out },
            { x: right, y: bottom, z: out },
            { x: left, y: bottom, z: out },
          ]);
  return boxes.flatMap((corners): PhotoShape[] => {
    const points = [...corners, corners[0]!].map((p) => seenAt(plane, camera, p.x, p.y, p.z));
    return points.every((p) => p !== undefined)
      ? [{ role: 'outline', points: points as PhotoShape['points'], open: true }]
      : [];
  });
}
