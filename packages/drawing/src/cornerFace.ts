import type { Job, Plan, Side } from '@steddo/contract';
import { cornerSideOf, wallSeen } from '@steddo/core';
import { faceScene, type FaceExtras, type LabelSet } from './faceScene';
import { mirrorScene, shiftScene } from './mirrorScene';
import { join, type Scene, type Shape } from './scene';

/** Drawn between the two walls of a corner, mm. */
const FOLD_MM = 12;

/**
 * One wall of a corner as whoever stands before it sees it. On the left wall what is measured from the corner runs to the
 * left, so that its drawing is turned round.
 */
export function wallFace(job: Job, plan: Plan, wall: 'main' | Side, labels: LabelSet, extras?: FaceExtras): Scene {
  const seen = wallSeen(job, plan, wall);
  const scene = faceScene(seen.job, seen.plan, labels, extras);
  return wall === 'left' ? mirrorScene(scene, seen.job.room.wall.width) : scene;
}

/** A room as it is looked at from its middle: its wall, or both walls of its corner side by side. */
export const roomFace = (job: Job, plan: Plan, labels: LabelSet): Scene =>
  plan.corner ? unfoldedFace(job, plan, labels) : faceScene(job, plan, labels);

/** Both walls of a corner side by side, as if the paper were folded there: left what is left of the corner. */
export function unfoldedFace(job: Job, plan: Plan, labels: LabelSet): Scene {
  const side = cornerSideOf(job);
  const other = wallFace(job, plan, side, labels);
  const main = wallFace(job, plan, 'main', labels);
  const [left, right] = side === 'left' ? [other, main] : [main, other];
  const at = left.bounds.right;
  const far = named(side === 'left' ? left : shiftScene(right, at), 'side');
  const near = side === 'left' ? shiftScene(right, at) : left;
  const fold: Shape = {
    ...{ kind: 'rect', role: 'cut', id: 'fold', name: 'corner', bottom: 0, top: near.bounds.top },
    ...{ left: at - FOLD_MM / 2, right: at + FOLD_MM / 2 },
  };
  const once = far.labels.filter((l) => !near.labels.some((n) => n.text === l.text && l.id.startsWith('side:row')));
  return {
    bounds: join(near.bounds, far.bounds),
    focus: plan.placement ? join(near.focus, far.focus) : join(near.bounds, far.bounds),
    shapes: [...far.shapes, ...near.shapes, fold],
    labels: [...near.labels, ...once.filter((l) => !HEIGHTS.has(l.id))],
  };
}

/** The same heights on both walls are said once. */
const HEIGHTS = new Set(['side:top', 'side:bottom', 'side:hook']);

/** Eyes are on both walls as high as on one, and are named there. */
function unsaid(shape: Shape): Shape {
  if (shape.kind !== 'line' || shape.role !== 'eye-line') return shape;
  const { name: _, ...rest } = shape;
  return rest;
}

/** Shapes of two walls in one drawing have names apart; a hole has its own already. */
const named = (scene: Scene, name: string): Scene => ({
  ...scene,
  shapes: scene.shapes.map((s) => (s.kind === 'cross' ? s : unsaid({ ...s, id: `${name}:${s.id}` }))),
  labels: scene.labels.map((l) => ({ ...l, id: `${name}:${l.id}` })),
});
