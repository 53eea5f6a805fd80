import type { Job, Photo, PhotoPlane, PhotoReference, PhotoTap } from '@steddo/contract';
import { laidInPicture, wallPlane, type PicturePlace, type PictureSize } from '@steddo/core/photo';
import { CORNER_NAMES } from '@steddo/text';

/** What crosses are laid for: a reference's corners, the floor and an end of the wall, the ends of a straight edge. */
export type LayPart = 'first' | 'second' | 'tie' | 'edge';

/** A cross on the picture, and whether somebody has laid it. */
export interface Cross {
  name: string;
  at: PicturePlace;
  laid: boolean;
}

const NO_TAPS: PhotoReference['taps'] = [null, null, null, null];
const NOTHING: PhotoPlane = { points: [], references: [{ what: 'wall', taps: NO_TAPS }] };

/** What was laid onto a picture; to begin with the wall's own corners are asked for. */
export function planeBegun({ plane }: Photo): PhotoPlane {
  if (!plane) return NOTHING;
  return plane.references || plane.points.length >= 4
    ? plane
    : { ...NOTHING, ...plane, references: NOTHING.references! };
}

const FOUR: readonly PhotoTap[] = [
  { u: 0.2, v: 0.2 },
  { u: 0.8, v: 0.2 },
  { u: 0.8, v: 0.8 },
  { u: 0.2, v: 0.8 },
];
/** A sheet is small. */
const SMALL: readonly PhotoTap[] = FOUR.map(({ u, v }) => ({ u: 0.5 + (u - 0.5) / 3, v: 0.5 + (v - 0.5) / 3 }));
const TIES: readonly PhotoTap[] = [
  { u: 0.5, v: 0.85 },
  { u: 0.1, v: 0.5 },
];
const ENDS: readonly PhotoTap[] = [
  { u: 0.2, v: 0.12 },
  { u: 0.8, v: 0.12 },
];

const inPixels = ({ u, v }: PhotoTap, { width, height }: PictureSize): PicturePlace => ({
  u: u * width,
  v: v * height,
});

/** The crosses of a part, where they were laid or where a finger finds them. */
export function crossesOf(
  plane: PhotoPlane,
  part: LayPart,
  /** Ends of an edge that was not found yet. */
  ends: readonly (PhotoTap | undefined)[],
  size: PictureSize,
): Cross[] {
  const cross = (name: string, tap: PhotoTap | null | undefined, begun: PhotoTap): Cross => ({
    name,
    at: inPixels(tap ?? begun, size),
    laid: Boolean(tap),
  });
  switch (part) {
    case 'first':
    case 'second': {
      const reference = plane.references?.[part === 'first' ? 0 : 1];
      const begun = reference?.what === 'wall' ? FOUR : SMALL;
      return CORNER_NAMES.map((name, i) => cross(`${name} corner`, reference?.taps[i], begun[i]!));
    }
    case 'tie':
      return [cross('the floor', plane.floor, TIES[0]!), cross('the end of the wall', plane.end, TIES[1]!)];
    case 'edge': {
      const [edge] = plane.edges ?? [];
      const laid = [ends[0] ?? edge?.[0], ends[1] ?? edge?.at(-1)];
      return [cross('one end of the edge', laid[0], ENDS[0]!), cross('its other end', laid[1], ENDS[1]!)];
    }
  }
}

/** With a cross laid; the ends of an edge are no part of it until the edge is found. */
export function withTap(plane: PhotoPlane, part: Exclude<LayPart, 'edge'>, i: number, tap: PhotoTap): PhotoPlane {
  if (part === 'tie')
    return i === 0 ? { ...plane, floor: tap } : { ...plane, end: { ...tap, side: plane.end?.side ?? 'left' } };
  const at = part === 'first' ? 0 : 1;
  return withReference(plane, at, (r) => ({ ...r, taps: r.taps.map((t, k) => (k === i ? tap : t)) }));
}

/** With the first or the second reference another one. */
export function withReference(
  plane: PhotoPlane,
  at: 0 | 1,
  change: (reference: PhotoReference) => PhotoReference,
): PhotoPlane {
  const references = plane.references ?? NOTHING.references!;
  const own = references[at] ?? { what: 'a4', taps: NO_TAPS };
  const next = change(own);
  return { ...plane, references: at === 0 ? [next, ...references.slice(1)] : [references[0]!, next] };
}

/** Another thing is meant by a reference: its corners are to be laid anew. */
export const anotherReference = (plane: PhotoPlane, at: 0 | 1, what: Omit<PhotoReference, 'taps'>): PhotoPlane =>
  withReference(plane, at, () => ({ ...what, taps: NO_TAPS }));

export function withoutSecond({ references, apart: _, level: __, ...plane }: PhotoPlane): PhotoPlane {
  return { ...plane, references: references?.slice(0, 1) };
}

export const withTaped = (
  plane: PhotoPlane,
  at: 0 | 1,
  field: 'width' | 'height' | 'left' | 'bottom',
  mm: number,
): PhotoPlane => withReference(plane, at, (r) => ({ ...r, [field]: mm }));

/** As it is written: with where the references' corners came to lie, and how the lens bends. */
export function resolved(job: Job, { k1, ...plane }: PhotoPlane, size: PictureSize): PhotoPlane {
  if (!plane.references) return { ...plane, ...(k1 === undefined ? {} : { k1 }) };
  const made = wallPlane(laidInPicture(job, plane, size));
  if (!made.ok) return { ...plane, points: [] };
  const whole = plane.references.filter((r) => r.taps.every((t) => t !== null));
  const points = made.plane.references.flatMap((corners, i) =>
    corners.map(({ x, y }, k) => {
      const { u, v } = whole[i]!.taps[k]!;
      return { u, v, x, y };
    }),
  );
  return { ...plane, points, k1: made.plane.bend.k1 };
}
