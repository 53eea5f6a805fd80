import type { Job, Plan } from '@steddo/contract';
import { boltState } from '@steddo/core';
import type { Label, Shape } from './scene';

/** Pieces of packing under the plate, the timber of a hollow mantel with its holes, and what is kept off the fire. */

export const packingShapes = ({ packing = [] }: Plan): Shape[] =>
  packing
    .filter((p) => p.wall === 'main')
    .map(({ left, right, bottom, top }, i) => ({
      kind: 'rect',
      role: 'packing',
      id: `packing-${i}`,
      left,
      right,
      bottom,
      top,
    }));

/** A timber across two studs that the plate goes onto, or noggings in their opening, with its own holes. */
export function timberShapes({ timber }: Plan): Shape[] {
  if (!timber) return [];
  const { left, right, bottom, top, holes, pieces, opening, cleat = 0 } = timber;
  return [
    ...(opening ? [{ kind: 'rect', role: 'cut-out', id: 'timber-opening', ...opening } as const] : []),
    ...(pieces ?? [{ left, right }]).map((p, i): Shape => ({
      ...{ kind: 'rect', role: 'packing', id: pieces ? `nogging-in-${i}` : 'timber-across' },
      ...{ left: p.left, right: p.right, bottom, top },
    })),
    ...(pieces ?? []).flatMap((p, i) =>
      [p.left, p.right - cleat].map((at, k): Shape => ({
        ...{ kind: 'rect', role: 'timber', id: `cleat-${i}-${k}`, left: at, right: at + cleat, bottom, top },
      })),
    ),
    ...holes.map((h): Shape => ({
      ...{ kind: 'cross', role: 'hole', id: h.id, x: h.x, y: h.y },
      state: boltState(h),
    })),
  ];
}

export function mantelShapes(job: Job, { mantel }: Plan): Shape[] {
  if (!mantel) return [];
  const { timber, holes = [] } = mantel;
  return [
    ...(timber ? [{ kind: 'rect', role: 'timber', id: 'mantel-timber', ...timber } as const] : []),
    ...holes.map((h): Shape => ({
      ...{ kind: 'cross', role: 'hole', id: h.id, x: h.x, y: h.y },
      state: boltState(h),
    })),
    ...clearanceLine(job, mantel),
  ];
}

/** From the edge of the fire to the nearest of the mantel: what is measured. */
function clearanceLine(job: Job, { object, clearance }: NonNullable<Plan['mantel']>): Shape[] {
  const ends = clearanceEnds(job, object, clearance?.from);
  return ends ? [{ kind: 'line', role: 'fire-gap', id: 'fire-gap', ...ends }] : [];
}

function clearanceEnds(job: Job, object: string, from: string | undefined) {
  const thing = (id: string | undefined) => job.room.objects?.find((o) => o.id === id);
  const [mantel, fire] = [thing(object), thing(from)];
  if (!mantel || !fire) return undefined;
  const x2 =
    mantel.left > fire.right ? mantel.left : mantel.right < fire.left ? mantel.right : middleOfBoth(mantel, fire);
  const x1 = Math.min(fire.right, Math.max(fire.left, x2));
  return { x1, y1: fire.top, x2, y2: Math.max(mantel.bottom, fire.top) };
}

/** The middle of where one is over the other. */
const middleOfBoth = (a: { left: number; right: number }, b: { left: number; right: number }): number =>
  (Math.max(a.left, b.left) + Math.min(a.right, b.right)) / 2;

/** How far it is from the fire. */
export function fireLabels(job: Job, { mantel }: Plan, show: (mm: number) => string): Label[] {
  const { object, clearance } = mantel ?? {};
  const ends = object && clearance ? clearanceEnds(job, object, clearance.from) : undefined;
  if (!ends || !clearance) return [];
  return [
    {
      ...{ id: 'fire-gap', text: show(clearance.distance), side: 'right' },
      ...{ x: (ends.x1 + ends.x2) / 2, y: (ends.y1 + ends.y2) / 2 },
    },
  ];
}
