import type { Job, Plan, Side } from '@steddo/contract';
import { bracketsAt, formatTape, holeState, platedJob, tapeOf, wallSeen, type WallSeen } from '@steddo/core';
import { holeNumber } from '@steddo/text';
import { boxCuts } from './boxShapes';
import { mirrorScene } from './mirrorScene';
import { grow, join, type Box, type Label, type Scene, type Shape } from './scene';
import { insideShapes } from './wallShapes';

/** Paper about what is on it, mm. */
const AROUND_MM = 25;

/** From a cross to words beside it: its arm and its number, mm. */
const CROSS_MM = 18;

/** What is laid on one wall at full size. */
export interface WallTemplate {
  wall: 'main' | Side;
  scene: Scene;
}

/** The templates of a room, one for each wall that has something to drill or to cut; seen as somebody sees who faces that wall. */
export function templateScenes(job: Job, plan: Plan): WallTemplate[] {
  const walls = new Set<'main' | Side>(['main', ...(plan.holes ?? []).map((h) => h.wall ?? 'main')]);
  return [...walls].flatMap((wall): WallTemplate[] => {
    const seen = wallSeen(job, plan, wall);
    const scene = templateScene(seen.job, seen.plan);
    if (!scene) return [];
    return [{ wall, scene: wall === 'left' ? turned(scene, seen) : scene }];
  });
}

/** A left wall is measured from the corner, which is at its right end; its words stand beside the crosses as they are seen. */
function turned(scene: Scene, { job, plan }: WallSeen): Scene {
  const { width } = job.room.wall;
  const mirrored = mirrorScene(scene, width);
  const holes = plan.holes?.map((h) => ({ ...h, x: width - h.x }));
  return { ...mirrored, labels: labelsOf(job, { ...plan, ...(holes ? { holes } : {}) }, mirrored.bounds) };
}

/**
 * What is laid on a wall at full size: the plate's outline and slots, each hole as a cross with its number, the level line
 * through the first hole, the centre line, the studs or units behind it and, of a box, what is cut. In mm of the wall. Undefined where
 * there is nothing to drill or cut.
 */
function templateScene(job: Job, plan: Plan): Scene | undefined {
  const holes = plan.holes ?? [];
  const plate = plan.placement?.plate;
  const { cut } = plan.recess ?? {};
  const parts: Box[] = [
    ...(plate && holes.length > 0 ? [plate] : []),
    ...(cut ? [{ left: cut.left, right: cut.right, bottom: cut.bottom, top: cut.top }] : []),
    ...holes.map(({ x, y }) => ({ left: x, right: x, bottom: y, top: y })),
  ];
  const [first, ...others] = parts;
  if (!first) return undefined;
  const bounds = grow(others.reduce(join, first), AROUND_MM);
  const centre = plan.placement?.centre.x;
  const level = holes[0]?.y;
  const shapes: Shape[] = [
    ...clippedInside(job, plan, bounds),
    ...boxCuts(plan),
    ...(plate && holes.length > 0 ? plateLines(job, plan, plate) : []),
    ...(level === undefined ? [] : [line('level-line', 'level-mark', bounds.left + 4, level, bounds.right - 4, level)]),
    ...(centre === undefined || centre < bounds.left || centre > bounds.right
      ? []
      : [line('centre-line', 'centre-line', centre, bounds.bottom + 4, centre, bounds.top - 4)]),
    ...holes.map((h): Shape => ({ kind: 'cross', role: 'hole', id: h.id, x: h.x, y: h.y, state: holeState(h) })),
  ];
  return { bounds, focus: bounds, shapes, labels: labelsOf(job, plan, bounds) };
}

const line = (
  id: string,
  role: 'level-mark' | 'centre-line',
  x1: number,
  y1: number,
  x2: number,
  y2: number,
): Shape => ({
  ...{ kind: 'line', role, id, x1, y1, x2, y2 },
});

/** Studs and units as far as the paper goes. */
function clippedInside(job: Job, plan: Plan, bounds: Box): Shape[] {
  return insideShapes(job, plan, bounds).flatMap((s): Shape[] => {
    if (s.kind === 'rect') {
      const box = {
        left: Math.max(s.left, bounds.left),
        right: Math.min(s.right, bounds.right),
        bottom: Math.max(s.bottom, bounds.bottom),
        top: Math.min(s.top, bounds.top),
      };
      return box.left < box.right && box.bottom < box.top ? [{ ...s, ...box }] : [];
    }
    if (s.kind !== 'line') return [];
    const [x1, x2] = [clip(s.x1, bounds.left, bounds.right), clip(s.x2, bounds.left, bounds.right)];
    const [y1, y2] = [clip(s.y1, bounds.bottom, bounds.top), clip(s.y2, bounds.bottom, bounds.top)];
    // what is outside shrinks to a point at the edge
    return Math.hypot(x2 - x1, y2 - y1) > 1 ? [{ ...s, x1, x2, y1, y2 }] : [];
  });
}

const clip = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

function plateLines(given: Job, plan: Plan, { left, right, bottom, top, x }: Box & { x: number }): Shape[] {
  const { mount } = platedJob(given, plan);
  const apart = mount && bracketsAt(mount, x, bottom);
  const outlines = apart ?? [{ left, right, bottom, top }];
  return [
    ...outlines.map((o, i): Shape => ({
      ...{ kind: 'rect', role: 'plate', id: i === 0 ? 'plate' : `plate-${i + 1}` },
      ...{ left: o.left, right: o.right, bottom: o.bottom, top: o.top },
    })),
    ...(mount?.plate?.slots ?? []).map((s, i): Shape => ({
      ...{ kind: 'rect', role: 'slot', id: `slot-${i}` },
      ...{ left: x + s.x - s.length / 2, right: x + s.x + s.length / 2 },
      ...{ bottom: bottom + s.y - s.height / 2, top: bottom + s.y + s.height / 2 },
    })),
  ];
}

function labelsOf(job: Job, plan: Plan, bounds: Box): Label[] {
  const show = (mm: number) => formatTape(mm, tapeOf(job.units));
  const holes = plan.holes ?? [];
  const [first] = holes;
  const { cut } = plan.recess ?? {};
  return [
    ...holes.map((h): Label => ({ id: h.id, text: holeNumber(h.id), x: h.x, y: h.y, side: 'right' })),
    ...(first
      ? [
          {
            ...{ id: 'level-line', text: `level, ${show(first.y)} from the floor`, side: 'above' as const },
            ...{ x: clearOf(holes, first.y, bounds), y: first.y },
          },
        ]
      : []),
    ...(cut
      ? [
          {
            ...{
              id: 'box-cut',
              text: `cut out, lower edge ${show(cut.bottom)} from the floor`,
              side: 'above' as const,
            },
            ...{ x: (cut.left + cut.right) / 2, y: cut.bottom },
          },
        ]
      : []),
  ];
}

/** Where words along the level line begin: in the widest gap between the crosses that are about as high. */
function clearOf(holes: readonly { x: number; y: number }[], y: number, { left, right }: Box): number {
  const xs = holes.filter((h) => Math.abs(h.y - y) < CROSS_MM).map((h) => h.x);
  const ends = [left - CROSS_MM, ...xs.sort((a, b) => a - b), right];
  const gaps = ends.slice(1).map((to, i) => ({ from: ends[i]!, wide: to - ends[i]! }));
  return gaps.reduce((a, b) => (b.wide > a.wide ? b : a)).from + CROSS_MM;
}
