import type { Job, Plan } from '@steddo/contract';
import { formatTape, tapeOf } from '@steddo/core';
import { mantelShapes, timberShapes } from './mantelShapes';
import { grow, type Scene, type Shape } from './scene';
import { insideShapes } from './wallShapes';

const AROUND_MM = 110;
const RING_MM = 34;

/**
 * The timber of a hollow mantel over its courses, for one hole after the other, with a ring about the one that the hand
 * is at; undefined where there is no such timber.
 */
export function mantelScene(job: Job, plan: Plan, holeId: string | undefined): Scene | undefined {
  const { timber, holes = [], object } = plan.mantel ?? {};
  if (!timber) return undefined;
  const view = grow(timber, AROUND_MM);
  const shell = job.room.objects?.find((o) => o.id === object);
  const shapes: Shape[] = [
    ...insideShapes(job, { ...plan, studs: [], noggings: [] }, view).filter((s) => inView(s, view.bottom, view.top)),
    ...(shell
      ? [
          {
            ...({ kind: 'rect', role: 'cover', id: shell.id, name: shell.name ?? 'mantel' } as const),
            ...{ left: shell.left, right: shell.right, bottom: shell.bottom, top: shell.top },
          },
        ]
      : []),
    ...mantelShapes(job, plan).filter((s) => s.role !== 'fire-gap'),
  ];
  const middle = (timber.left + timber.right) / 2;
  return atHole({ view, shapes, hole: holes.find((h) => h.id === holeId), middle, job });
}

/**
 * The timber across studs, or the noggings between them, for one of its holes after the other; undefined where the plate
 * goes onto the wall itself.
 */
export function timberScene(job: Job, plan: Plan, holeId: string | undefined): Scene | undefined {
  const { timber } = plan;
  if (!timber) return undefined;
  const view = grow(timber.opening ?? timber, AROUND_MM);
  const shapes = [
    ...insideShapes(job, plan, view).filter((s) => inView(s, view.bottom, view.top)),
    ...timberShapes(plan),
  ];
  const middle = (timber.left + timber.right) / 2;
  return atHole({ view, shapes, hole: timber.holes.find((h) => h.id === holeId), middle, job });
}

interface AtHole {
  view: Scene['bounds'];
  shapes: readonly Shape[];
  hole: { id: string; x: number; y: number } | undefined;
  /** Of the timber, along it. */
  middle: number;
  job: Job;
}

/** A strip of wall with a ring about the hole that the hand is at, and how far that is off the timber's middle. */
function atHole({ view, shapes, hole, middle, job }: AtHole): Scene {
  if (!hole) return { bounds: view, focus: view, shapes: [...shapes], labels: [] };
  const { id, x, y } = hole;
  const ring = { kind: 'circle', role: 'next-look', id: 'now', x, y, r: RING_MM } as const;
  const off = `${formatTape(Math.abs(x - middle), tapeOf(job.units))} ${x < middle ? 'left' : 'right'}`;
  return {
    ...{ bounds: view, focus: view, shapes: [...shapes, ring] },
    labels: [{ id, text: off, x, y, side: 'above' }],
  };
}

/** A joint that is in the strip of wall that is drawn. */
const inView = (s: Shape, bottom: number, top: number): boolean =>
  s.kind !== 'line' || (Math.max(s.y1, s.y2) > bottom && Math.min(s.y1, s.y2) < top);
