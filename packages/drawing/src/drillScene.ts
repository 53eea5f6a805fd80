import type { Job, Plan } from '@steddo/contract';
import { formatTape, holeState, tapeOf } from '@steddo/core';
import { plateShapes } from './faceScene';
import { packingShapes } from './mantelShapes';
import { insideShapes } from './wallShapes';
import { grow, type Label, type Scene, type Shape } from './scene';

/** So much of the wall about the plate is in view, mm. */
const AROUND_MM = 70;
const RING_MM = 28;

/**
 * The plate alone, for one hole after the other: studs behind it, its slots, the holes that are there, and the
 * one that the hand is at with a ring about it. A tape from the first hole along the level line.
 */
export function drillScene(job: Job, plan: Plan, holeId: string | undefined): Scene {
  const box = plan.placement?.plate ?? { left: 0, right: 100, bottom: 0, top: 100 };
  const view = grow(box, AROUND_MM);
  const holes = plan.holes ?? [];
  const now = holes.find((h) => h.id === holeId);
  const [first] = holes;
  const shapes: Shape[] = [
    ...insideShapes(job, plan, view).filter((s) => s.kind !== 'line' || (s.y2 > view.bottom && s.y1 < view.top)),
    ...packingShapes(plan),
    ...plateShapes(job, plan),
    ...(first
      ? [
          {
            kind: 'line',
            role: 'level-mark',
            id: 'level-line',
            x1: view.left,
            y1: first.y,
            x2: view.right,
            y2: first.y,
          } as const,
        ]
      : []),
    ...spoiledShapes(job),
    ...holes.map((h): Shape => ({
      kind: 'cross',
      role: 'hole',
      id: h.id,
      x: h.x,
      y: h.y,
      state: h.done ? 'go' : holeState(h),
    })),
    ...(now ? [{ kind: 'circle', role: 'next-look', id: 'now', x: now.x, y: now.y, r: RING_MM } as const] : []),
  ];
  return { bounds: view, focus: view, shapes, labels: now ? labelsOf(job, plan, now.id) : [] };
}

/** Holes that nothing uses any more. */
const spoiledShapes = (job: Job): Shape[] =>
  (job.drilled ?? [])
    .filter((d) => d.result !== 'good' && d.result !== 'drifted')
    .map((d, i) => ({ kind: 'circle', role: 'poke', id: `spoiled-${i}`, x: d.x, y: d.y, r: 6 }));

function labelsOf(job: Job, plan: Plan, id: string): Label[] {
  const mark = plan.marks?.find((m) => m.id === id);
  const hole = plan.holes?.find((h) => h.id === id);
  if (!mark || !hole) return [];
  const tape = tapeOf(job.units);
  const { fromFirst, belowLine } = hole.workings;
  const along =
    fromFirst && Math.abs(fromFirst.value) >= 0.5 ? `${formatTape(Math.abs(fromFirst.value), tape)} along` : '';
  const down =
    belowLine && Math.abs(belowLine.value) >= 0.5
      ? `${formatTape(Math.abs(belowLine.value), tape)} ${belowLine.value > 0 ? 'below' : 'above'}`
      : '';
  const text = [down, along].filter(Boolean).join(', ');
  return [
    { id: `${id}-place`, text: text || `${formatTape(mark.fromFloor, tape)} up`, x: hole.x, y: hole.y, side: 'above' },
  ];
}
