import type { BenchClearance, Job, Working } from '@steddo/contract';
import { toDeg, toRad } from '../primitives/convert';
import { half, leaf, minus, node, sum } from '../primitives/working';
import { isPortrait, patternAt } from '../room/hungSides';

export type BenchSide = BenchClearance['side'];

/** A corner of the set as it hangs in landscape, from the head, with the sums. */
interface Corner {
  right: Working;
  up: Working;
}

/** What of a set a head has to turn: its corners in landscape, and how far its back and front are from the head's axes. */
export interface OnHead {
  corners: Corner[];
  portrait: boolean;
  back: Working;
  front: Working;
}

/** Which way each side lies, degrees from straight right, as seen from the front. */
const WAY: Record<BenchSide, number> = { right: 0, above: 90, left: 180, below: 270 };

/** Turned from landscape to portrait: to the right, as seen from the front. */
const TURN_DEG = 90;

/** The set on its head; `width` and `height` of its outline in landscape. */
export function onHead(job: Job, { width, height }: Outline, head: Working, thickness: Working): OnHead {
  const { right, up } = patternAt({ ...job, choices: { ...job.choices, portrait: false } });
  const [halfWidth, halfHeight] = [half('half-width', width), half('half-height', height)];
  const from = (edge: Working, off: Working, far: boolean): Working =>
    far ? minus('head-to-edge', edge, off) : minus('head-to-edge', node('head-to-edge', '-', 'mm', [ZERO, edge]), off);
  const corners = [true, false].flatMap((r) =>
    [true, false].map((u): Corner => ({ right: from(halfWidth, right, r), up: from(halfHeight, up, u) })),
  );
  return { corners, portrait: isPortrait(job), back: head, front: sum('head-to-front', head, thickness) };
}

interface Outline {
  width: Working;
  height: Working;
}

const ZERO = leaf('head-middle', 0, 'mm');

/** A corner so far from the head that way, with the set turned by so many degrees. */
function alongAt({ right, up }: Corner, side: BenchSide, turned: number): number {
  const away = toRad(WAY[side] + turned);
  return right.value * Math.cos(away) + up.value * Math.sin(away);
}

/** How far the set goes from its head to a side as it hangs: its edge there. */
export function restSpan({ corners, portrait }: OnHead, side: BenchSide): Working {
  const by = (c: Corner) => alongAt(c, side, portrait ? TURN_DEG : 0);
  const far = corners.reduce((a, b) => (by(b) > by(a) ? b : a));
  return edgeOf(far, side, portrait);
}

/** Of a corner what counts towards a side. */
function edgeOf({ right, up }: Corner, side: BenchSide, portrait: boolean): Working {
  const away = (WAY[side] + (portrait ? TURN_DEG : 0)) % FULL_DEG;
  const along = away % HALF_DEG === 0 ? right : up;
  return away < HALF_DEG ? along : node('head-to-edge', '-', 'mm', [ZERO, along]);
}
const FULL_DEG = 360;
const HALF_DEG = 180;

/**
 * How far it goes to a side at most while it is turned from landscape to portrait: a corner's whole distance where that
 * comes by, else the further of both ends. 500 x 300 in its middle: 291.5 up, on the way; 250 or 150 at the ends.
 */
export function turnedSpan(on: OnHead, side: BenchSide): Working {
  const passing = on.corners.filter((c) => {
    const at = toDeg(Math.atan2(c.up.value, c.right.value)) - WAY[side];
    const turn = ((at % FULL_DEG) + FULL_DEG) % FULL_DEG;
    return turn <= TURN_DEG;
  });
  const spans = [
    ...passing.map((c) => node('head-to-corner', 'hypot', 'mm', [c.right, c.up])),
    ...[false, true].map((portrait) => restSpan({ ...on, portrait }, side)),
  ];
  return spans.reduce((a, b) => (b.value > a.value ? b : a));
}

/**
 * How far an edge goes to a side at most when its head tilts or swings by no more than a limit: edge x cosine + front x
 * sine, which is the distance of the front's edge itself where the head gets that far. 150 and 60 deep: 161.55 at 21.8
 * degrees and beyond, 158.1 within 10.
 */
export function movedSpan({ front }: OnHead, edge: Working, limit: number): Working {
  if (limit <= 0 || front.value <= 0) return edge;
  if (toRad(limit) >= Math.atan2(front.value, edge.value)) return node('edge-moved', 'hypot', 'mm', [edge, front]);
  const angle = leaf('head-limit', limit, 'deg');
  return sum(
    'edge-moved',
    node('edge-part', '*', 'mm', [edge, node('cosine', 'cos', 'ratio', [angle])]),
    node('front-part', '*', 'mm', [front, node('sine', 'sin', 'ratio', [angle])]),
  );
}

/**
 * How far the head can tilt or swing, degrees, before the edge there is further out than what is free; undefined where
 * that is all the way, 0 where it is not free as it hangs. 150 and 60 deep with 155 free: 5.4.
 */
export function clearUntil({ front }: OnHead, edge: number, free: number, limit: number): number | undefined {
  const far = Math.hypot(edge, front.value);
  const peak = Math.atan2(front.value, edge);
  const most = toRad(limit) >= peak ? far : edge * Math.cos(toRad(limit)) + front.value * Math.sin(toRad(limit));
  if (most <= free) return undefined;
  if (edge >= free) return 0;
  return toDeg(peak - Math.acos(free / far));
}
