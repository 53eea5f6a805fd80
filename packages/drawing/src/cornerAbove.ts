import type { CornerPlan, Item, Job, Plan } from '@steddo/contract';
import { SIDE_WALL_MM, cornerAngleOf, outOf } from '@steddo/core';
import { HEAD_MM, floorDepth, floorSides } from './floorDrawn';
import type { Box, Scene, Shape } from './scene';

const WALL_MM = 90;
/** Less than this out of the wall is not seen from above, mm. */
const SEEN_MM = 30;

type Point = readonly [number, number];

/** How a corner lies in the plan of the main wall: x along it, y minus the distance from it. */
interface Lie {
  /** From the corner, so far along the main wall or the other one, and so far out of it. */
  main: (along: number, out: number) => Point;
  side: (along: number, out: number) => Point;
}

function lieOf(job: Job, { side }: CornerPlan): Lie {
  const turn = (cornerAngleOf(job) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const { width } = job.room.wall;
  const at = (x: number, z: number): Point => [side === 'left' ? x : width - x, -z];
  return {
    main: at,
    // along the other wall, and out of it towards the room
    side: (along, out) => at(along * cos + out * sin, along * sin - out * cos),
  };
}

/** A corner from above: both walls, the set with what carries it, who looks at it. */
export function cornerAbove(job: Job, plan: Plan): Scene {
  const corner = plan.corner!;
  const lie = lieOf(job, corner);
  const { width } = job.room.wall;
  const sideWidth = job.room.sideWalls?.[corner.side]?.width ?? SIDE_WALL_MM;
  const deep = Math.max(floorDepth(job), sideWidth);
  const sides = floorSides(job);
  const [endX] = lie.side(sideWidth, 0);
  const bounds: Box = {
    left: Math.min(sides.left, endX) - WALL_MM,
    right: Math.max(sides.right, endX) + WALL_MM,
    bottom: -deep,
    top: WALL_MM,
  };
  const wall = (id: string, at: Lie['main'], long: number): Shape =>
    poly('cut', id, [at(0, 0), at(long, 0), at(long, -WALL_MM), at(0, -WALL_MM)]);
  const eyes = (job.room.viewers ?? []).flatMap((v) => (v.distance === undefined ? [] : [{ ...v, z: v.distance }]));
  const front = middleOf(corner.outline.slice(2));
  const shapes: Shape[] = [
    wall('wall-cut', lie.main, width),
    wall('side-cut', lie.side, sideWidth),
    ...(job.room.objects ?? []).filter((o) => outOf(o) > SEEN_MM).flatMap((o) => thing(job, o, corner, lie)),
    ...(job.room.floor ?? []).map((f): Shape => ({
      ...{ kind: 'rect', role: 'seat', id: f.id, name: f.name ?? f.kind.replaceAll('-', ' ') },
      ...{ left: f.left, right: f.right, bottom: -f.far, top: -f.near },
    })),
    ...eyes.map((v): Shape => ({
      ...{ kind: 'line', role: 'sight', id: `sight-${v.id}` },
      ...{ x1: v.x ?? front[0], y1: -v.z, x2: front[0], y2: front[1] },
    })),
    ...eyes.map((v): Shape => ({
      ...{ kind: 'circle', role: 'body', id: `head-${v.id}`, name: v.name ?? v.id },
      ...{ x: v.x ?? front[0], y: -v.z - HEAD_MM, r: HEAD_MM },
    })),
    ...carriers(job, plan, lie),
    poly(
      'set-cut',
      'set-cut',
      corner.outline.map(({ x, z }) => [x, -z] as const),
    ),
  ];
  return { bounds, focus: focusOf(bounds, corner, eyes.length > 0), shapes, labels: [] };
}

/** With nobody to look at it, the corner alone. */
function focusOf(bounds: Box, { side, front }: CornerPlan, seats: boolean): Box {
  if (seats) return bounds;
  const near = 3 * front;
  return side === 'left'
    ? { ...bounds, right: Math.min(bounds.right, near), bottom: Math.max(bounds.bottom, -near) }
    : { ...bounds, left: Math.max(bounds.left, bounds.right - near), bottom: Math.max(bounds.bottom, -near) };
}

/** The links of a rack or an arm, and the plates that they end on. */
function carriers(job: Job, plan: Plan, lie: Lie): Shape[] {
  const { corner, placement, sideWall } = plan;
  const { mount } = job;
  if (!corner?.feet || !corner.pivot || !mount) return [];
  const thick = mount.plate?.thickness ?? 3;
  return corner.feet.flatMap((foot): Shape[] => {
    const main = foot.wall === 'main';
    const at = main ? lie.main : lie.side;
    const half = (mount.plate?.width ?? 0) / 2;
    const box = main ? placement?.plate : sideWall?.plate;
    const x = main && corner.side === 'right' && box ? job.room.wall.width - box.x : (box?.x ?? foot.x);
    const pivot = pivotOn(corner, main, lie);
    const [footX, footY] = at(x, thick);
    return [
      poly('plate', `foot-${foot.wall}`, [
        at(x - half, 0),
        at(x + half, 0),
        at(x + half, Math.max(thick, 12)),
        at(x - half, Math.max(thick, 12)),
      ]),
      { kind: 'poly', role: 'link', id: `link-${foot.wall}`, points: [[footX, footY], pivot], closed: false },
      { kind: 'circle', role: 'joint', id: `pivot-${foot.wall}`, x: pivot[0], y: pivot[1], r: 14 },
    ];
  });
}

/** A pivot lies on the set's back, as far along its own wall as the plan says. */
function pivotOn({ outline, pivot }: CornerPlan, main: boolean, lie: Lie): Point {
  const [a, b] = [outline[0]!, outline[1]!];
  // the corner's own axes: how far along the wall each end of the back is
  const [ox, oy] = main ? lie.main(0, 0) : lie.side(0, 0);
  const [ux, uy] = unit([ox, oy], main ? lie.main(1, 0) : lie.side(1, 0));
  const along = (p: { x: number; z: number }) => (p.x - ox) * ux + (-p.z - oy) * uy;
  const [from, to] = [along(a), along(b)];
  const wanted = main ? pivot!.main : pivot!.side;
  const share = Math.abs(to - from) < 1e-9 ? 0.5 : (wanted - from) / (to - from);
  return [a.x + (b.x - a.x) * share, -(a.z + (b.z - a.z) * share)];
}

const unit = (from: Point, to: Point): Point => {
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
};

function thing(job: Job, o: Item, { side }: CornerPlan, lie: Lie): Shape[] {
  const wall = o.wall ?? 'main';
  if (wall !== 'main' && wall !== side) return [];
  const out = outOf(o);
  const main = wall === 'main';
  const [left, right] =
    main && side === 'right' ? [job.room.wall.width - o.right, job.room.wall.width - o.left] : [o.left, o.right];
  const at = main ? lie.main : lie.side;
  const name = o.name ?? o.kind;
  return [{ ...poly('object', o.id, [at(left, 0), at(right, 0), at(right, out), at(left, out)]), name } as Shape];
}

const poly = (role: Shape['role'], id: string, points: readonly Point[]): Shape => ({
  kind: 'poly',
  role,
  id,
  points,
  closed: true,
});

const middleOf = (points: readonly { x: number; z: number }[]): Point => [
  points.reduce((s, p) => s + p.x, 0) / points.length,
  -points.reduce((s, p) => s + p.z, 0) / points.length,
];
