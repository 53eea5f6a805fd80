import type { Job, Plan } from '@steddo/contract';
import {
  COMFORT_CENTRE_DEG,
  RECLINE_SHARE,
  armDrawn,
  eyeOf,
  outOf,
  mainZones,
  seatsFacing,
  setMayCover,
  wallAt,
} from '@steddo/core';
import { boxInWall } from './boxShapes';
import { benchTilts } from './benchShapes';
import type { Swung } from './armShapes';
import { personShapes } from './person';
import type { Box, Label, Scene, Shape } from './scene';
import { setDepth } from './setDepth';

/** Behind the wall's face, drawn hatched, mm. */
const WALL_MM = 90;
const BEHIND_MM = 450;

const rad = (deg: number): number => (deg * Math.PI) / 180;

/**
 * A cut through the room at the set's middle, seen from the right: wall at the left, x here is the
 * distance from it. Eyes, lines of sight to centre, top and bottom, the 15 degree band about each resting gaze,
 * and the set as it would stand with the tilt that is needed.
 */
export function sideScene(given: Job, plan: Plan, swung?: Swung): Scene {
  const job = plan.corner ? seatsFacing(given) : given;
  const { height } = job.room.wall;
  const viewers = (job.room.viewers ?? []).flatMap((v) => {
    const eye = eyeOf(v, job.guessed ?? []);
    return v.distance !== undefined && eye ? [{ viewer: v, z: v.distance, eye: eye.value }] : [];
  });
  const far = Math.max(1500, ...viewers.map((v) => v.z)) + BEHIND_MM;
  const bounds: Box = { left: -WALL_MM, right: far, bottom: 0, top: height };
  const placed = plan.placement && setShapes(job, plan);
  const shapes: Shape[] = [
    { kind: 'rect', role: 'cut', id: 'wall-cut', left: -WALL_MM, right: 0, bottom: 0, top: height },
    ...boxInWall(plan),
    ...faceShapes(job, plan),
    ...besideShapes(job, plan),
    ...viewers.flatMap((v) => (placed ? bandShape(job, v, placed.out) : [])),
    ...viewers.flatMap((v) => personShapes(v.viewer, v.z, v.eye)),
    ...(placed ? viewers.flatMap((v) => sightShapes(plan, v, placed.out)) : []),
    ...(swung ? turnedShapes(plan, swung) : []),
    ...benchTilts(job, plan),
    ...(placed?.shapes ?? []),
    { kind: 'line', role: 'floor', id: 'floor', x1: 0, y1: 0, x2: far, y2: 0 },
    { kind: 'line', role: 'ceiling', id: 'ceiling', x1: 0, y1: height, x2: far, y2: height },
  ];
  return { bounds, focus: bounds, shapes, labels: labelsOf(job, plan, viewers) };
}

/** The set where a hand has brought it, as far out as it reaches. */
function turnedShapes({ placement: p }: Plan, { model, at }: Swung): Shape[] {
  if (!p) return [];
  const zs = armDrawn(model, at).corners.map((c) => c.z);
  const [left, right] = [Math.min(...zs), Math.max(...zs)];
  const { bottom, top } = p;
  return [
    { kind: 'line', role: 'link', id: 'arm-out', x1: 0, y1: p.centre.y, x2: left, y2: p.centre.y },
    { kind: 'rect', role: 'set-tilted', id: 'set-turned', left, right, bottom, top },
  ];
}

interface Placed {
  shapes: Shape[];
  out: number;
}

interface Seen {
  viewer: NonNullable<Job['room']['viewers']>[number];
  z: number;
  eye: number;
}

function setShapes(job: Job, plan: Plan): Placed {
  const p = plan.placement!;
  const { back, face: out } = setDepth(job, plan);
  const box = { left: back, right: out, bottom: p.bottom, top: p.top };
  const shapes: Shape[] = [{ kind: 'rect', role: 'set-cut', id: 'set-cut', ...box }];
  if (p.plate)
    shapes.push({
      kind: 'rect',
      role: 'bracket',
      id: 'plate-cut',
      left: plan.placement?.plane ?? 0,
      right: (plan.placement?.plane ?? 0) + Math.min(12, job.mount?.depth.folded ?? 12),
      bottom: p.plate.bottom,
      top: p.plate.top,
    });
  const tilt = p.tiltNeeded;
  if (tilt !== undefined && Math.abs(tilt) >= 1) shapes.push(tilted(box, p.centre.y, tilt));
  return { shapes, out };
}

/** Parts of the wall that stand out at the set's middle, what is packed there, and the timber of a mantel. */
function faceShapes(job: Job, plan: Plan): Shape[] {
  const x = plan.placement?.centre.x ?? job.room.wall.width / 2;
  const plane = plan.placement?.plane ?? 0;
  const zones = mainZones(job.room.wall).filter((z) => z.left <= x && z.right >= x);
  const { timber, object } = plan.mantel ?? {};
  const ledger = job.room.objects?.find((o) => o.id === object)?.ledger;
  const behind = timber ? wallAt(job.room.wall, x, (timber.bottom + timber.top) / 2).face : 0;
  return [
    ...zones
      .filter((z) => (z.face ?? 0) > 0)
      .map((z): Shape => ({
        ...{ kind: 'rect', role: 'cut', id: `face-${z.id}`, left: 0, right: z.face!, bottom: z.bottom, top: z.top },
      })),
    ...(plan.packing ?? [])
      .filter((p) => p.left <= x && p.right >= x)
      .map((p, i): Shape => ({
        ...{ kind: 'rect', role: 'packing', id: `packing-${i}` },
        ...{ left: plane - p.thickness, right: plane, bottom: p.bottom, top: p.top },
      })),
    ...(timber && ledger
      ? [
          {
            ...({ kind: 'rect', role: 'timber', id: 'mantel-timber' } as const),
            ...{ left: behind, right: behind + ledger.thickness, bottom: timber.bottom, top: timber.top },
          },
        ]
      : []),
  ];
}

/** The set turned about the middle of its back so that its face looks at the eyes. */
function tilted(box: Box, centre: number, deg: number): Shape {
  const a = rad(deg);
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  const turn = (z: number, y: number): [number, number] => {
    const [dz, dy] = [z - box.left, y - centre];
    return [box.left + dz * cos + dy * sin, centre + dy * cos - dz * sin];
  };
  const points = [
    turn(box.left, box.bottom),
    turn(box.right, box.bottom),
    turn(box.right, box.top),
    turn(box.left, box.top),
  ];
  return { kind: 'poly', role: 'set-tilted', id: 'set-tilted', points, closed: true };
}

/** Things under or over the set, as far out as they were measured. */
function besideShapes(job: Job, plan: Plan): Shape[] {
  const p = plan.placement;
  return (job.room.objects ?? [])
    .filter((o) => (o.wall ?? 'main') === 'main' && outOf(o) > 0)
    .filter((o) => !p || (o.left < p.right && p.left < o.right))
    .map((o) => ({
      kind: 'rect',
      role: setMayCover(o) ? 'cover' : 'object',
      id: o.id,
      name: o.name ?? o.kind,
      left: 0,
      right: outOf(o),
      bottom: o.bottom,
      top: o.top,
    }));
}

/** What is within 15 degrees of the resting gaze, from the eye to the set's face. */
function bandShape(job: Job, { viewer, z, eye }: Seen, out: number): Shape[] {
  const rest = (job.aim.schools?.eyes?.reclineShare ?? RECLINE_SHARE) * (viewer.recline ?? 0);
  const run = z - out;
  if (run <= 0) return [];
  const at = (deg: number): [number, number] => [out, eye + run * Math.tan(rad(deg))];
  const points = [[z, eye], at(rest + COMFORT_CENTRE_DEG), at(rest - COMFORT_CENTRE_DEG)] as const;
  return [{ kind: 'poly', role: 'band', id: `band-${viewer.id}`, points, closed: true }];
}

function sightShapes(plan: Plan, { viewer, z, eye }: Seen, out: number): Shape[] {
  const p = plan.placement!;
  const to = (id: string, role: 'sight' | 'sight-edge', y: number): Shape => ({
    kind: 'line',
    role,
    id: `${id}-${viewer.id}`,
    x1: z,
    y1: eye,
    x2: out,
    y2: y,
  });
  return [
    to('sight-top', 'sight-edge', p.top),
    to('sight-bottom', 'sight-edge', p.bottom),
    to('sight', 'sight', p.centre.y),
  ];
}

function labelsOf(job: Job, plan: Plan, viewers: readonly Seen[]): Label[] {
  const p = plan.placement;
  if (!p) return [];
  const angles = p.angles ?? [];
  return viewers.flatMap(({ viewer, z, eye }) => {
    const a = angles.find((v) => v.viewer === viewer.id);
    if (!a) return [];
    const up = Math.round(Math.abs(a.centre) * 10) / 10;
    return [
      {
        id: `angle-${viewer.id}`,
        text: up === 0 ? 'level' : `${up}° ${a.centre < 0 ? 'down' : 'up'}`,
        x: z / 2,
        y: (eye + p.centre.y) / 2,
        side: 'above',
      } satisfies Label,
    ];
  });
}
