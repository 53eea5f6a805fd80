import type { Build, Mount } from '@steddo/contract';
import { boardOf } from '../room/wallAt';
import { plateOf, RATED_BOARD_MM } from './fastenerCapacity';
import { fromAnchor, isRatedFor, type Fastener, type Kit } from './kit';
import { FIXING_KINDS, isHollow, isMasonry } from './fixingKinds';

const ultimate = ({ tension = 0, shear = 0 }: Fastener): number => Math.min(tension, shear);

const strongest = (anchors: readonly Fastener[]): Fastener | undefined =>
  [...anchors].sort(
    (a, b) => ultimate(b) - ultimate(a) || FIXING_KINDS[b.kind].strength - FIXING_KINDS[a.kind].strength,
  )[0];

/** The strongest masonry anchor of the kit. */
export const masonryAnchor = (kit: Kit): Fastener | undefined =>
  strongest(kit.anchors.flatMap((a) => fromAnchor(a) ?? []).filter((a) => isMasonry(a.kind)));

/** The strongest hollow-wall anchor of the kit that is rated for this board and reaches through plate and board. */
export function bestAnchor(build: Build, mount: Mount, kit: Kit, packingMm: number): Fastener | undefined {
  return strongest(hollowAnchors(build, kit, plateOf(mount) + packingMm));
}

/** Every rated hollow-wall anchor of the kit for this wall and so much in front of its board, mm. */
export function hollowAnchors(build: Build, kit: Kit, infrontMm: number): Fastener[] {
  const board = boardOf(build);
  return kit.anchors
    .flatMap((a) => fromAnchor(a) ?? [])
    .filter((a) => isRatedFor(a, build))
    .filter((a) => isHollow(a.kind) && (a.walls?.includes(build.kind) ?? true))
    .filter((a) => Boolean(a.tension && a.shear))
    .filter((a) => a.board === undefined || a.board - board <= RATED_BOARD_MM)
    .filter(
      ({ grip, washer = 0 }) =>
        !grip || (infrontMm + board + washer >= grip.min && infrontMm + board + washer <= grip.max),
    );
}

/**
 * Why no hollow-wall anchor of the kit serves a board, where it has some: the first reason that keeps the strongest out.
 * Undefined where one serves, or the kit has none.
 */
export function anchorRefusal(
  build: Build,
  mount: Mount,
  kit: Kit,
): { code: AnchorRefusal; anchor: Fastener } | undefined {
  if (bestAnchor(build, mount, kit, 0)) return undefined;
  const anchor = strongest(
    kit.anchors.flatMap((a) => fromAnchor(a) ?? []).filter((a) => isHollow(a.kind) && a.tension && a.shear),
  );
  if (!anchor) return undefined;
  if (!isRatedFor(anchor, build)) return { code: 'unrated-on-lath', anchor };
  const thin = anchor.board !== undefined && anchor.board - boardOf(build) > RATED_BOARD_MM;
  return { code: thin ? 'rated-for-board' : 'grip-outside', anchor };
}
export type AnchorRefusal = 'unrated-on-lath' | 'rated-for-board' | 'grip-outside';
