import type { Item, Job, Plan } from '@steddo/contract';
import { mainZones, outOf } from '@steddo/core';
import { armShapes, armSights, swingShapes, type Swung } from './armShapes';
import { cornerAbove } from './cornerAbove';
import { HEAD_MM, floorDepth, floorSides } from './floorDrawn';
import { leadsFromAbove } from './leadShapes';
import type { Box, Scene, Shape } from './scene';
import { setDepth } from './setDepth';

const WALL_MM = 90;
/** Less than this out of the wall is not seen from above, mm. */
const SEEN_MM = 30;

/** Down to whoever sits furthest: while the arm is moved the set is drawn as large as can be. */
function seatDepth(job: Job): number {
  const seats = (job.room.viewers ?? []).flatMap((v) => v.distance ?? []);
  return seats.length === 0 ? floorDepth(job) : Math.max(1500, ...seats) + 4 * HEAD_MM;
}

/** How far out the lines of a swing's limit go at least, mm. */
const LIMIT_OUT_MM = 400;

/** Where the set's middle may go to either side of its screws: a line out from the wall on each. */
function swingLimit(job: Job, plan: Plan): Shape[] {
  const most = job.choices?.maxAside;
  const holes = plan.holes ?? [];
  if (most === undefined || holes.length === 0 || !plan.reach) return [];
  const middle = holes.reduce((s, h) => s + h.x, 0) / holes.length;
  const out = Math.max(LIMIT_OUT_MM, plan.reach.extended ?? 0);
  return [-most, most].map((by, i): Shape => ({
    kind: 'line',
    role: 'swing-limit',
    id: `swing-limit-${i}`,
    name: 'as far aside as it may go',
    x1: middle + by,
    y1: 0,
    x2: middle + by,
    y2: -out,
  }));
}

/**
 * The floor from above: the wall along the top edge, y here is minus the distance from it. With an arm
 * the set is where a hand has brought it.
 */
export function aboveScene(job: Job, plan: Plan, swung?: Swung): Scene {
  if (plan.corner) return cornerAbove(job, plan);
  const { width, returns } = job.room.wall;
  const deep = swung ? seatDepth(job) : floorDepth(job);
  const bounds: Box = { ...floorSides(job), bottom: -deep, top: WALL_MM };
  const side = (id: string, left: number, right: number): Shape => ({
    kind: 'rect',
    role: 'cut',
    id,
    left,
    right,
    bottom: -deep,
    top: WALL_MM,
  });
  const sights = swung ? armSights(job, swung) : { shapes: plainSights(job, plan), labels: [] };
  const arm = swung ? armShapes(swung) : [];
  const map = arm.filter((s) => s.role.startsWith('map-'));
  const shapes: Shape[] = [
    ...map,
    { kind: 'rect', role: 'cut', id: 'wall-cut', left: 0, right: width, bottom: 0, top: WALL_MM },
    ...standingOut(job),
    ...(returns?.left ? [side('return-left', -WALL_MM, 0)] : []),
    ...(returns?.right ? [side('return-right', width, width + WALL_MM)] : []),
    ...(job.room.objects ?? []).filter((o) => outOf(o) > SEEN_MM).map((o) => itemShape(o, width)),
    ...swingShapes(job),
    ...(job.room.floor ?? []).map((f): Shape => ({
      kind: 'rect',
      role: 'seat',
      id: f.id,
      name: f.name ?? f.kind.replaceAll('-', ' '),
      left: f.left,
      right: f.right,
      bottom: -f.far,
      top: -f.near,
    })),
    ...arm.filter((s) => s.role === 'swept' || s.role === 'furthest'),
    ...swingLimit(job, plan),
    ...sights.shapes,
    ...heads(job, plan),
    ...(swung
      ? arm.filter((s) => !map.includes(s) && s.role !== 'swept' && s.role !== 'furthest')
      : [...flatSet(job, plan), ...leadsFromAbove(plan, setDepth(job, plan).back)]),
  ];
  return { bounds, focus: bounds, shapes, labels: swung?.angles ? sights.labels : [] };
}

/** Parts of the wall whose face is in front of the rest. */
const standingOut = ({ room }: Job): Shape[] =>
  mainZones(room.wall)
    .filter((z) => (z.face ?? 0) > 0)
    .map((z) => ({
      ...{ kind: 'rect', role: 'cut', id: `face-${z.id}`, left: z.left, right: z.right },
      ...{ bottom: -z.face!, top: 0 },
    }));

const middleOf = (job: Job, plan: Plan): number => plan.placement?.centre.x ?? job.room.wall.width / 2;

/** On a side wall left and right run from the shared corner. */
function itemShape(o: Item, width: number): Shape {
  const out = outOf(o);
  const named = { kind: 'rect', role: 'object', id: o.id, name: o.name ?? o.kind } as const;
  if (o.wall === 'left') return { ...named, left: 0, right: out, bottom: -o.right, top: -o.left };
  if (o.wall === 'right') return { ...named, left: width - out, right: width, bottom: -o.right, top: -o.left };
  return { ...named, left: o.left, right: o.right, bottom: -out, top: 0 };
}

const placedViewers = (job: Job) =>
  (job.room.viewers ?? []).flatMap((v) => (v.distance === undefined ? [] : [{ ...v, distance: v.distance }]));

function plainSights(job: Job, plan: Plan): Shape[] {
  const middle = middleOf(job, plan);
  const { face } = setDepth(job, plan);
  return placedViewers(job).map((v) => ({
    kind: 'line',
    role: 'sight',
    id: `sight-${v.id}`,
    x1: v.x ?? middle,
    y1: -v.distance,
    x2: middle,
    y2: -face,
  }));
}

function heads(job: Job, plan: Plan): Shape[] {
  const middle = middleOf(job, plan);
  return placedViewers(job).map((v) => ({
    kind: 'circle',
    role: 'body',
    id: `head-${v.id}`,
    name: v.name ?? v.id,
    x: v.x ?? middle,
    y: -v.distance - HEAD_MM,
    r: HEAD_MM,
  }));
}

function flatSet(job: Job, plan: Plan): Shape[] {
  const p = plan.placement;
  if (!p) return [];
  const { back, face } = setDepth(job, plan);
  const box = { left: p.left, right: p.right, bottom: -face, top: -back };
  return [{ kind: 'rect', role: 'set-cut', id: 'set-cut', ...box }];
}
