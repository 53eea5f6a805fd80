import type { Job, Plan } from '@steddo/contract';
import { formatTape, tapeOf } from '@steddo/core';
import { mantelShapes } from './mantelShapes';
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
  const now = holes.find((h) => h.id === holeId);
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
    ...(now ? [{ kind: 'circle', role: 'next-look', id: 'now', x: now.x, y: now.y, r: RING_MM } as const] : []),
  ];
  const tape = tapeOf(job.units);
  const middle = (timber.left + timber.right) / 2;
  return {
    ...{ bounds: view, focus: view, shapes },
    labels: now
      ? [
          {
            id: now.id,
            text: `${formatTape(Math.abs(now.x - middle), tape)} ${now.x < middle ? 'left' : 'right'}`,
            ...{ x: now.x, y: now.y, side: 'above' },
          },
        ]
      : [],
  };
}

/** A joint that is in the strip of wall that is drawn. */
const inView = (s: Shape, bottom: number, top: number): boolean =>
  s.kind !== 'line' || (Math.max(s.y1, s.y2) > bottom && Math.min(s.y1, s.y2) < top);
