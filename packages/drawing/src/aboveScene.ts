import type { Job, Plan } from '@steddo/contract';
import type { Box, Scene, Shape } from './scene';
import { setDepth } from './setDepth';

const WALL_MM = 90;
const BEHIND_MM = 400;
/** Half of a head seen from above. */
export const HEAD_MM = 110;

/** The floor from above: the wall along the top edge, y here is minus the distance from it. */
export function aboveScene(job: Job, plan: Plan): Scene {
  const { width } = job.room.wall;
  const viewers = (job.room.viewers ?? []).flatMap((v) =>
    v.distance === undefined ? [] : [{ ...v, distance: v.distance }],
  );
  const things = job.room.floor ?? [];
  const deep =
    Math.max(1500, ...viewers.map((v) => v.distance), ...things.map((f) => f.far)) + BEHIND_MM;
  const bounds: Box = { left: 0, right: width, bottom: -deep, top: WALL_MM };
  const p = plan.placement;
  const middle = p?.centre.x ?? width / 2;
  const { back, face } = setDepth(job, plan);
  const { left: returnLeft, right: returnRight } = job.room.wall.returns ?? {};
  const side = (id: string, left: number, right: number): Shape => ({
    kind: 'rect', role: 'cut', id, left, right, bottom: -deep, top: WALL_MM,
  }); // prettier-ignore
  const shapes: Shape[] = [
    { kind: 'rect', role: 'cut', id: 'wall-cut', left: 0, right: width, bottom: 0, top: WALL_MM },
    ...(returnLeft ? [side('return-left', -WALL_MM, 0)] : []),
    ...(returnRight ? [side('return-right', width, width + WALL_MM)] : []),
    ...(job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main' && (o.out ?? 0) > 30).map((o): Shape => ({
      kind: 'rect', role: 'object', id: o.id, name: o.name ?? o.kind,
      left: o.left, right: o.right, bottom: -(o.out ?? 0), top: 0,
    })),
    ...things.map((f): Shape => ({
      kind: 'rect', role: 'seat', id: f.id, name: f.name ?? f.kind,
      left: f.left, right: f.right, bottom: -f.far, top: -f.near,
    })),
    ...viewers.map((v): Shape => ({
      kind: 'line', role: 'sight', id: `sight-${v.id}`,
      x1: v.x ?? middle, y1: -v.distance, x2: middle, y2: -face,
    })),
    ...viewers.map((v): Shape => ({
      kind: 'circle', role: 'body', id: `head-${v.id}`, name: v.name ?? v.id, x: v.x ?? middle, y: -v.distance - HEAD_MM, r: HEAD_MM,
    })),
    ...(p ? [{
      kind: 'rect', role: 'set-cut', id: 'set-cut',
      left: p.left, right: p.right, bottom: -face, top: -back,
    } satisfies Shape] : []),
  ]; // prettier-ignore
  return { bounds, focus: bounds, shapes, labels: [] };
}
