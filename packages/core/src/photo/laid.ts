import type { PicturePlace, PictureSize, Tap, Tapped } from './pictures';

/** Four corners of something upright whose measures are known, as they were tapped. */
export interface LaidReference {
  width: number;
  height: number;
  /** From the upper left round to the right. */
  taps: readonly Tap[];
  /** Taped: from the wall's left end to its left edge, from the floor to its lower edge. */
  left?: number;
  bottom?: number;
  /** Its place is the wall's own: not taped again, not turned. */
  fast?: boolean;
}

/** Everything that was laid onto a picture or taped between what is in it. */
export interface Laid {
  picture: PictureSize;
  references: readonly LaidReference[];
  /** Further places that are known, such as those that a file brings. */
  known?: readonly (Tapped & { sd: number })[];
  /** Taped between the first and the second reference: from the nearer edge of the one to that of the other. */
  apart?: number;
  /** By how much the second one's lower edge is higher than the first one's. */
  level?: number;
  /** Somewhere on the line where the wall meets the floor. */
  floor?: Tap;
  /** Somewhere on an end of the wall, and how far from its left end that is. */
  end?: Tap & { x: number };
  /** Places along edges that are straight, on the wall or not. */
  edges?: readonly (readonly Tap[])[];
  /** How the lens bends where that is known better than of any camera. */
  bend?: { k1: number; sd: number };
}

/** Why what was laid says nothing of the wall. */
export type PlaneFault =
  | 'too-few'
  | 'in-a-line'
  | 'crossed'
  | 'mirrored'
  | 'not-anchored'
  | 'edge-through-middle'
  | 'edge-too-short'
  | 'do-not-agree';

/** Of a triangle's area to its longest side squared: less is a line to a finger. */
const FLAT = 0.02;
/** A straight edge that passes the middle nearer than this share of half the diagonal is not bent by any lens. */
const THROUGH_MIDDLE = 0.12;
/** Shorter than this share of half the diagonal its bending is lost in the taps. */
const SHORT_EDGE = 0.4;
const LEAST_ON_EDGE = 3;

/** Where a reference's corners are from its own lower left one, mm, in the order of its taps. */
export const ownCorners = ({ width, height }: { width: number; height: number }): { x: number; y: number }[] => [
  { x: 0, y: height },
  { x: width, y: height },
  { x: width, y: 0 },
  { x: 0, y: 0 },
];

/** What is wrong with what was laid, before anything is computed from it. */
export function faultOfLaid(laid: Laid): PlaneFault | undefined {
  const { references, known = [], edges = [], picture } = laid;
  const sets = [
    ...references.map((r) => r.taps.map(({ u, v }, i) => ({ u, v, ...ownCorners(r)[i]! }))),
    ...(known.length === 4 ? [known] : []),
  ];
  if (references.some((r) => r.taps.length !== 4)) return 'too-few';
  if (references.length === 0 && known.length < 4) return 'too-few';
  for (const taps of sets) {
    const fault = faultOfFour(taps);
    if (fault) return fault;
  }
  if (!isAnchored(laid)) return 'not-anchored';
  for (const edge of edges) {
    const fault = faultOfEdge(edge, picture);
    if (fault) return fault;
  }
  return undefined;
}

function isAnchored({ references, known = [], floor, end }: Laid): boolean {
  if (known.length > 0) return true;
  const across = end !== undefined || references.some((r) => r.left !== undefined);
  const up = floor !== undefined || references.some((r) => r.bottom !== undefined);
  return across && up;
}

function faultOfEdge(edge: readonly PicturePlace[], { width, height }: PictureSize): PlaneFault | undefined {
  if (edge.length < LEAST_ON_EDGE) return 'too-few';
  const half = Math.hypot(width, height) / 2;
  const [a, b] = [edge[0]!, edge.at(-1)!];
  const long = Math.hypot(b.u - a.u, b.v - a.v);
  if (long < SHORT_EDGE * half) return 'edge-too-short';
  const off = Math.abs((b.u - a.u) * (a.v - height / 2) - (a.u - width / 2) * (b.v - a.v)) / long;
  return off < THROUGH_MIDDLE * half ? 'edge-through-middle' : undefined;
}

function faultOfFour(taps: readonly Tapped[]): PlaneFault | undefined {
  const picture = turns(taps.map(({ u, v }) => ({ x: u, y: v })));
  const wall = turns(taps.map(({ x, y }) => ({ x, y })));
  // a reference may be long and low: only in the picture can its corners come to lie in a line
  if (picture.some((t) => Math.abs(t) < FLAT * flatness(wall))) return 'in-a-line';
  // the wall's y goes up and the picture's v goes down: who looks at its front sees every turn the other way round
  const same = picture.map((t, i) => Math.sign(t) === Math.sign(wall[i]!));
  if (same.every((s) => !s)) return undefined;
  return same.every((s) => s) ? 'mirrored' : 'crossed';
}

/** 1 for what is about as high as wide, less for a strip. */
const flatness = (wall: readonly number[]): number => Math.min(1, 3 * Math.min(...wall.map(Math.abs)));

/** Of each three that follow each other: the area of their triangle to the longest side squared, signed by the turn. */
function turns(points: readonly { x: number; y: number }[]): number[] {
  return points.map((a, i) => {
    const [b, c] = [points[(i + 1) % points.length]!, points[(i + 2) % points.length]!];
    const area = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
    const side = Math.max(
      Math.hypot(b.x - a.x, b.y - a.y),
      Math.hypot(c.x - b.x, c.y - b.y),
      Math.hypot(c.x - a.x, c.y - a.y),
    );
    return side === 0 ? 0 : area / side ** 2;
  });
}
