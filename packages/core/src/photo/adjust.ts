import type { Matrix } from 'ml-matrix';
import { applied, linear, projected, scalingOf, unprojected, unscaled, type Scaling } from './homography';
import { ownCorners, type Laid, type LaidReference, type PlaneFault } from './laid';
import { inverted, leastSquares, type Problem } from './leastSquares';
import { bent, lensBend, straightened } from './lens';
import type { PicturePlace, Tapped } from './pictures';

/** How far a tape is off where it is laid between two edges, mm, one standard deviation. Common practice: to the millimetre. */
export const TAPED_SD_MM = 1;
/** How far out of level a sheet hangs that was put up by a spirit level, radians: a tenth of a degree. Ours. */
const TURN_SD = (0.1 * Math.PI) / 180;
/** What lenses bend at the picture's corner: cameras take most of it out themselves. Ours. */
const ANY_LENS = { k1: 0, sd: 0.025 };
/** What is not off by anything still has a weight. */
const LEAST_SD_PX = 1e-6;

/** What is off by this many standard deviations in the middle does not belong together. */
const MOST_OFF = 3.5;

export type Adjusted =
  | {
      ok: true;
      eight: readonly number[];
      k1: number;
      covariance: Matrix;
      scaling: { wall: Scaling; picture: Scaling };
      references: { x: number; y: number }[][];
    }
  | { ok: false; why: PlaneFault };

interface Standing {
  x: number;
  y: number;
  turn: number;
}

/**
 * All that was laid and taped brought together by least squares. Looked for: the eight numbers of the wall in the picture,
 * k1, the place and the turn of every reference that is not the wall's own, where the floor's and the end's taps are along
 * their lines, and two numbers for every straight edge.
 */
export function adjusted(laid: Laid): Adjusted {
  const begun = beginning(laid);
  if (!begun) return { ok: false, why: 'in-a-line' };
  const { stands, eight, scaling } = begun;
  const problem = problemOf(laid, begun);
  const found = leastSquares(problem);
  if (!found) return { ok: false, why: 'do-not-agree' };
  const { p, off, normal } = found;
  const spare = off.length - p.length;
  const size = Math.sqrt(off.reduce((sum, o) => sum + o * o, 0) / Math.max(1, spare));
  if (spare > 0 && !(size <= MOST_OFF)) return { ok: false, why: 'do-not-agree' };
  const spread = inverted(normal);
  // what was laid leaves something open
  if (!spread) return { ok: false, why: 'in-a-line' };
  const read = reading(laid, p, scaling);
  return {
    ok: true,
    eight: p.slice(0, eight.length),
    k1: p[8]!,
    covariance: spread.subMatrix(0, 8, 0, 8),
    scaling,
    references: laid.references.map((r, i) => cornersAt(r, r.fast ? stands[i]! : read.stands[i]!)),
  };
}

const cornersAt = (r: LaidReference, { x, y, turn }: Standing) =>
  ownCorners(r).map((c) => ({
    x: x + c.x * Math.cos(turn) - c.y * Math.sin(turn),
    y: y + c.x * Math.sin(turn) + c.y * Math.cos(turn),
  }));

/** Where to begin: the wall by one reference alone, and the others where that sees them. */
function beginning(laid: Laid) {
  const { references, known = [] } = laid;
  const first = references.find((r) => r.fast) ?? references[0];
  const placed = (r: LaidReference, at: Standing): Tapped[] =>
    cornersAt(r, at).map((c, i) => ({ ...c, u: r.taps[i]!.u, v: r.taps[i]!.v }));
  const own: Standing = { x: first?.left ?? 0, y: first?.bottom ?? 0, turn: 0 };
  const seeds = first ? placed(first, own) : [...known];
  const seen = planeOf(seeds);
  if (!seen) return undefined;
  const at = (place: PicturePlace) => unprojected(seen, place);
  let stands = references.map((r): Standing => {
    if (r === first) return own;
    const foot = at(r.taps[3]!);
    return { x: r.left ?? foot?.x ?? 0, y: r.bottom ?? foot?.y ?? 0, turn: 0 };
  });
  // the first is where the others' tape has it, or the floor and the wall's end
  const shift = first ? shiftOf(laid, first, at) : { x: 0, y: 0 };
  stands = stands.map((s, i) => {
    const r = references[i]!;
    return {
      ...s,
      x: r.left === undefined ? s.x + shift.x : s.x,
      y: r.bottom === undefined ? s.y + shift.y : s.y,
    };
  });
  const all = [...known, ...references.flatMap((r, i) => placed(r, stands[i]!))];
  const scaling = {
    wall: scalingOf(all.map(({ x, y }) => ({ x, y }))),
    picture: scalingOf(all.map(({ u, v }) => ({ x: u, y: v }))),
  };
  const moved = first ? placed(first, stands[references.indexOf(first)]!) : [...known];
  const eight = linear(moved.map((t) => scaledTap(t, scaling)));
  return eight && { stands, eight, scaling };
}

/** The plane of some taps alone, and in which scale. */
function planeOf(taps: readonly Tapped[]) {
  const scaling = {
    wall: scalingOf(taps.map(({ x, y }) => ({ x, y }))),
    picture: scalingOf(taps.map(({ u, v }) => ({ x: u, y: v }))),
  };
  const eight = linear(taps.map((t) => scaledTap(t, scaling)));
  return eight && unscaled(eight, scaling.wall, scaling.picture);
}

/** How far the first reference's own place is off, by what is taped of another one, or by the floor and the end. */
function shiftOf(
  { references, floor, end }: Laid,
  first: LaidReference,
  at: (place: PicturePlace) => { x: number; y: number } | undefined,
): { x: number; y: number } {
  const other = (way: 'left' | 'bottom') => references.find((r) => r !== first && r[way] !== undefined);
  const across = () => {
    if (first.left !== undefined) return 0;
    const r = other('left');
    if (r) return r.left! - (at(r.taps[3]!)?.x ?? r.left!);
    return end ? end.x - (at(end)?.x ?? end.x) : 0;
  };
  const up = () => {
    if (first.bottom !== undefined) return 0;
    const r = other('bottom');
    if (r) return r.bottom! - (at(r.taps[3]!)?.y ?? r.bottom!);
    return floor ? -(at(floor)?.y ?? 0) : 0;
  };
  return { x: across(), y: up() };
}

const scaledTap = (t: Tapped, { wall, picture }: { wall: Scaling; picture: Scaling }): Tapped => {
  const [from, to] = [applied(wall, t.x, t.y), applied(picture, t.u, t.v)];
  return { x: from.x, y: from.y, u: to.x, v: to.y };
};

/** What is looked for, read out of its row of numbers: places in mm. */
function reading({ references, floor, end, edges = [] }: Laid, p: readonly number[], scaling: { wall: Scaling }) {
  const { wall } = scaling;
  let at = 9;
  const next = () => p[at++]!;
  const x = () => next() / wall.by + wall.x;
  const y = () => next() / wall.by + wall.y;
  const stands = references.map((r): Standing | undefined => (r.fast ? undefined : { x: x(), y: y(), turn: next() }));
  return {
    stands,
    floorX: floor ? x() : 0,
    endY: end ? y() : 0,
    edges: edges.map(() => ({ angle: next(), off: next() })),
  };
}

function problemOf(
  laid: Laid,
  { stands, eight, scaling }: { stands: Standing[]; eight: number[]; scaling: { wall: Scaling; picture: Scaling } },
): Problem {
  const { references, known = [], floor, end, edges = [], picture, bend = ANY_LENS } = laid;
  const { wall } = scaling;
  const lens = (k1: number) => lensBend(picture, k1);
  const seenAt = (p: readonly number[], x: number, y: number): PicturePlace => {
    const place = applied(wall, x, y);
    const ideal = projected(p.slice(0, 8), place.x, place.y) ?? { u: 1e3, v: 1e3 };
    const { picture: to } = scaling;
    return bent(lens(p[8]!), { u: ideal.u / to.by + to.x, v: ideal.v / to.by + to.y });
  };
  const tapOff = (p: readonly number[], tap: PicturePlace & { sd: number }, x: number, y: number): number[] => {
    const seen = seenAt(p, x, y);
    const sd = Math.max(LEAST_SD_PX, tap.sd);
    return [(seen.u - tap.u) / sd, (seen.v - tap.v) / sd];
  };
  const half = lens(0).half;
  const off = (p: readonly number[]): number[] => {
    const read = reading(laid, p, scaling);
    const where = references.map((r, i) => read.stands[i] ?? stands[i]!);
    return [
      ...known.flatMap((t) => tapOff(p, t, t.x, t.y)),
      ...references.flatMap((r, i) => cornersAt(r, where[i]!).flatMap((c, k) => tapOff(p, r.taps[k]!, c.x, c.y))),
      ...references.flatMap((r, i) => (r.fast ? [] : looseOff(r, where[i]!))),
      ...betweenOff(laid, where),
      ...(floor ? tapOff(p, floor, read.floorX, 0) : []),
      ...(end ? tapOff(p, end, end.x, read.endY) : []),
      ...edges.flatMap((edge, i) => edgeOff(edge, read.edges[i]!, (t) => straightened(lens(p[8]!), t), half)),
      (p[8]! - bend.k1) / Math.max(1e-9, bend.sd),
    ];
  };
  const begun = unscaled(eight, wall, scaling.picture);
  const at = (place: PicturePlace) => unprojected(begun, place);
  const start = [
    ...eight,
    bend.k1,
    ...references.flatMap((r, i) => {
      const s = applied(wall, stands[i]!.x, stands[i]!.y);
      return r.fast ? [] : [s.x, s.y, 0];
    }),
    ...(floor ? [applied(wall, at(floor)?.x ?? 0, 0).x] : []),
    ...(end ? [applied(wall, 0, at(end)?.y ?? 0).y] : []),
    ...edges.flatMap((edge) => lineOf(edge, half)),
  ];
  return { start, off };
}

/** What was taped of a reference, and that it hangs about level. */
function looseOff(r: LaidReference, { x, y, turn }: Standing): number[] {
  return [
    ...(r.left === undefined ? [] : [(x - r.left) / TAPED_SD_MM]),
    ...(r.bottom === undefined ? [] : [(y - r.bottom) / TAPED_SD_MM]),
    turn / TURN_SD,
  ];
}

/** What was taped between the first two. */
function betweenOff({ references, apart, level }: Laid, where: readonly Standing[]): number[] {
  const [a, b] = where;
  if (!a || !b) return [];
  const [wide, other] = [references[0]!.width, references[1]!.width];
  const gap = a.x <= b.x ? b.x - a.x - wide : a.x - b.x - other;
  return [
    ...(apart === undefined ? [] : [(gap - apart) / TAPED_SD_MM]),
    ...(level === undefined ? [] : [(b.y - a.y - level) / TAPED_SD_MM]),
  ];
}

/** How far the straightened taps are from the edge's line. */
function edgeOff(
  edge: readonly (PicturePlace & { sd: number })[],
  line: { angle: number; off: number },
  straight: (t: PicturePlace) => PicturePlace,
  half: number,
): number[] {
  const [nu, nv] = [Math.cos(line.angle), Math.sin(line.angle)];
  return edge.map((t) => {
    const s = straight(t);
    return (s.u * nu + s.v * nv - line.off * half) / Math.max(LEAST_SD_PX, t.sd);
  });
}

/** The line through an edge's ends: its normal's angle, and how far it is from the picture's corner in half diagonals. */
function lineOf(edge: readonly PicturePlace[], half: number): [number, number] {
  const [a, b] = [edge[0]!, edge.at(-1)!];
  const angle = Math.atan2(b.v - a.v, b.u - a.u) + Math.PI / 2;
  return [angle, (a.u * Math.cos(angle) + a.v * Math.sin(angle)) / half];
}
