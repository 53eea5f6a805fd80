import type { Item } from '@steddo/contract';
import { outsideOf } from './roomThings';
import { isIn, kindAt, mainZones, wallAt, type Wall } from './wallAt';

/** Off a free edge of masonry by less nothing is fixed, mm. From memory, as European approvals of masonry anchors have it. */
export const FREE_EDGE_MM = 60;

/** Units less high than this break out in the course under a free top, mm. From memory; the trade knows the broken top course. */
const LOW_UNIT_MM = 100;

/** A fastener holds its full rating from so many of its own depths off. From memory, as above. */
const FULL_DEPTHS = 1.5;

/** A free edge beside a place: how far off it is, its doubt taken off, and which way it lies. */
export interface FreeEdge {
  off: number;
  x: -1 | 0 | 1;
  y: -1 | 0 | 1;
}

const VOIDS: ReadonlySet<Item['kind']> = new Set<Item['kind']>(['opening', 'window', 'door', 'box']);

/**
 * Where the masonry about a place ends: at the wall's ends without a return, at openings, and where a part of another
 * build begins. A wall 3000 wide without returns, a window from 1000 to 2000: at 900 the left end is 900 off, the window 100.
 */
export function freeEdges(wall: Wall, things: readonly Item[], x: number, y: number): FreeEdge[] {
  const { returns, width } = wall;
  return [
    ...(returns?.left ? [] : [{ off: x, x: -1, y: 0 } as const]),
    ...(returns?.right ? [] : [{ off: width - x, x: 1, y: 0 } as const]),
    ...things.filter((t) => VOIDS.has(t.kind)).map((t) => edgeOf(t, x, y)),
    ...partEdges(wall, x, y),
  ];
}

function edgeOf(t: Item, x: number, y: number): FreeEdge {
  return {
    off: outsideOf(t, x, y) - (t.doubt ?? 0),
    x: x < t.left ? 1 : x > t.right ? -1 : 0,
    y: y < t.bottom ? 1 : y > t.top ? -1 : 0,
  };
}

const WAYS = [
  { x: -1, y: 0 },
  { x: 1, y: 0 },
  { x: 0, y: -1 },
  { x: 0, y: 1 },
] as const;

/** A little beyond an edge, mm. */
const BEYOND_MM = 0.5;

/** Along each axis the first edge of a part beyond which there is no masonry. */
function partEdges(wall: Wall, x: number, y: number): FreeEdge[] {
  const zones = mainZones(wall);
  return WAYS.flatMap((way) => {
    const cuts = zones
      .flatMap((z) =>
        (way.x ? [z.left, z.right] : [z.bottom, z.top]).map((at) => ({
          off: (at - (way.x ? x : y)) * (way.x || way.y),
          doubt: z.doubt ?? 0,
        })),
      )
      .filter((c) => c.off >= 0)
      .sort((a, b) => a.off - b.off);
    const first = cuts.find((c) => ends(wall, x + way.x * (c.off + BEYOND_MM), y + way.y * (c.off + BEYOND_MM)));
    return first ? [{ off: first.off - first.doubt, ...way }] : [];
  });
}

const ends = (wall: Wall, x: number, y: number): boolean =>
  isIn({ left: 0, right: wall.width, bottom: 0, top: wall.height }, x, y) && kindAt(wall, x, y) !== 'masonry';

/** Whether anything may be fixed in the masonry at a place: 60 mm off every free edge, and not in a low top course. */
export function isOffEdges(wall: Wall, things: readonly Item[], x: number, y: number): boolean {
  const edges = freeEdges(wall, things, x, y);
  const { masonry = 'block', unit } = wallAt(wall, x, y).build;
  const high = unit?.height ?? USUAL_MM[masonry];
  const course = high !== undefined && high < LOW_UNIT_MM ? high + (unit?.joint ?? USUAL_JOINT_MM) : 0;
  return edges.every((e) => e.off >= FREE_EDGE_MM && (e.y <= 0 || e.off >= course));
}

/** Heights of units and their joints when nobody has measured them, mm. Common practice. */
const USUAL_MM = { brick: 65, block: 215, stone: 150, concrete: undefined } as const;
const USUAL_JOINT_MM = 10;

/** What a free edge leaves of a fastener's rating: of its pull, and of its shear where that points at the edge. */
export interface EdgeShare {
  pull: number;
  shear: number;
  x: number;
  y: number;
}

/**
 * What the free edges about a fastener leave of its rating, `deep` mm in its unit: pull by c / 1.5 h, shear towards the
 * edge by the power 1.5 of that; two edges multiply. c 60, h 61: 0.66 and 0.53.
 */
export const edgeShares = (edges: readonly FreeEdge[], deep: number): EdgeShare[] =>
  edges.flatMap(({ off, x, y }) => {
    const pull = Math.max(0, off) / (FULL_DEPTHS * deep);
    return pull >= 1 ? [] : [{ pull, shear: pull ** 1.5, x, y }];
  });
