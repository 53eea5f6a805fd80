import type { Job, ReachPlan, Working } from '@steddo/contract';
import { gapTo, rectangle, type Polygon } from '../primitives/convex';
import { leaf, minus, sum } from '../primitives/working';
import { outOf } from '../room/roomThings';
import type { Reach } from '../arm/reachTable';
import { radiusOf } from '../arm/setShape';

interface Found {
  by: string;
  gap: Working;
}

/**
 * What the set passes over and under anywhere on its way, and the least room that is left: below it
 * as it has settled, above it before it has, higher by the sag. Nothing under or over it: absent.
 * Bottom 782 over a bookcase 700 tall: 82.
 */
export function clearances(job: Job, reach: Reach, bottom: number, top: number): NonNullable<ReachPlan['clearance']> {
  const bottomLeaf = leaf('set-bottom', bottom, 'mm');
  const topLeaf = sum(
    'set-top-hung',
    leaf('set-top', top, 'mm'),
    leaf('sag', job.aim.sag ?? 0, 'mm', { path: 'aim.sag' }),
  );
  const [below, above]: [Found[], Found[]] = [[], []];
  for (const o of job.room.objects ?? []) {
    if ((o.wall ?? 'main') !== 'main' || !isSwept(reach, rectangle(o.left, o.right, 0, outOf(o)))) continue;
    const by = `object:${o.id}`;
    const edge = (name: 'bottom' | 'top') =>
      leaf(`object-${name}`, o[name], 'mm', { path: `room.objects.${o.id}.${name}` });
    if (o.top <= bottom && outOf(o) > 0) below.push({ by, gap: minus('room-below', bottomLeaf, edge('top')) });
    if (o.bottom >= top && outOf(o) > 0) above.push({ by, gap: minus('room-above', edge('bottom'), topLeaf) });
  }
  for (const f of job.room.floor ?? []) {
    if (f.height === undefined || f.height > bottom || !isSwept(reach, rectangle(f.left, f.right, f.near, f.far)))
      continue;
    const height = leaf('floor-thing-height', f.height, 'mm', { path: `room.floor.${f.id}.height` });
    below.push({ by: `floor:${f.id}`, gap: minus('room-below', bottomLeaf, height) });
  }
  const [low, high] = [least(below), least(above)];
  return {
    ...(low ? { below: low.gap.value, belowBy: low.by } : {}),
    ...(high ? { above: high.gap.value, aboveBy: high.by } : {}),
    workings: { ...(low ? { below: low.gap } : {}), ...(high ? { above: high.gap } : {}) },
  };
}

const least = (found: readonly Found[]): Found | undefined =>
  found.reduce<Found | undefined>((a, b) => (!a || b.gap.value < a.gap.value ? b : a), undefined);

/** Within what the set can sweep at most: a square about the root that holds every pose of it. */
export function isSwept({ arm, shape }: Reach, taken: Polygon): boolean {
  const far = Math.max(arm.a + arm.b, Math.abs(arm.folded.x - arm.root.x)) + radiusOf(shape);
  const out = arm.extended + radiusOf(shape);
  const around = rectangle(arm.root.x - far, arm.root.x + far, 0, out);
  return gapTo(around.points, taken) < 0;
}
