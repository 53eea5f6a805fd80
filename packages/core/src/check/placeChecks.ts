import type { Hole, ItemKind, Look, Obligation } from '@steddo/contract';
import { atLeast, atMost, flag } from './obligations';
import { buildAt, holeWall, inside, type Box, type Read, type WallRead } from './wallRead';

/* Where every hole is: on its wall, off its free edges, off what is in it, and looked at. Written from proof.md. */

/** A hole's middle stays so many of its own diameters inside the wall's outline, and off a free edge at least so much, mm. */
const WALL_DIAMETERS = 1.5;
const LEAST_EDGE_MM = 60;
/** Units less high than this break out under a free top, mm. */
const LOW_UNIT_MM = 100;
/** Kept between a hole's rim and a thing, and from the line of something seen, or found live by a finder, mm. */
const THING_MM = 3;
const SEEN_MM = 50;
const LIVE_MM = 75;
/** A look is drilled so far beside its line, sees so far up and down, and speaks for no more than so much wall, mm. */
const LOOK_BESIDE_MM = 76.2;
const LOOK_REACH_MM = 300;
const LOOK_NEAR_MM = 610;

/** In or on the wall: no hole goes through it, whatever may be covered. The rest only stands or hangs before it. */
const IN_WALL: Record<ItemKind, boolean> = {
  ...{
    outlet: true,
    switch: true,
    data: true,
    vent: true,
    pipe: true,
    gas: true,
    flue: true,
    window: true,
    door: true,
  },
  ...{ box: true, opening: true, shelf: true, cabinet: true, mantel: true },
  ...{ furniture: false, curtain: false, soundbar: false, device: false, chimney: false, stove: false, set: false },
  other: false,
};

const wide = ({ bit, fixing }: Hole): number => Math.max(bit, fixing.diameter);

export function placeChecks(read: Read): Obligation[] {
  return [...read.holes.flatMap((h) => holeChecks(read, h)), ...ownHoles(read), ...outlines(read)];
}

function holeChecks(read: Read, hole: Hole): Obligation[] {
  const wall = holeWall(read, hole);
  const { id, x, y, done } = hole;
  const off = Math.min(x, wall.width - x, y, wall.height - y);
  const open = done ? [] : [clearOfThings(wall, id, { x, y }, wide(hole) / 2), ...clearOfHazards(wall, hole)];
  return [
    atLeast('on-wall', id, off, WALL_DIAMETERS * wide(hole), 'mm'),
    ...(hole.into === 'masonry' ? edgeChecks(wall, hole) : []),
    ...open,
    ...(done ? [] : [looked(read, wall, hole)]),
  ];
}

/** Holes of timbers and of what hangs by itself: off everything but what they are for. */
function ownHoles({ plan, walls }: Read): Obligation[] {
  const { main } = walls;
  const timber = (plan.timber?.holes ?? []).filter((h) => !h.done);
  const mantel = (plan.mantel?.holes ?? []).filter((h) => !h.done);
  const r = (mm: number | undefined) => (mm ?? 0) / 2;
  const light = plan.light?.flatMap((l) => l.at.map((at) => ({ ...at, of: l.object, r: r(l.choices[0]?.bit) }))) ?? [];
  return [
    ...timber.map((h) => clearOfThings(main, h.id, h, r(plan.timber?.fixing?.bit))),
    ...mantel.map((h) => clearOfThings(main, h.id, h, r(plan.mantel?.fixing?.bit), plan.mantel!.object)),
    ...light.map((l) => clearOfThings(main, l.of, l, l.r, l.of)),
  ];
}

/** How far outside a box a place is, mm; below zero inside of it. */
function outsideOf({ left, right, bottom, top }: Box, x: number, y: number): number {
  const [dx, dy] = [Math.max(left - x, x - right), Math.max(bottom - y, y - top)];
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy);
}

function clearOfThings(
  wall: WallRead,
  of: string,
  { x, y }: { x: number; y: number },
  r: number,
  but?: string,
): Obligation {
  const things = wall.things.filter((t) => IN_WALL[t.kind] && t.id !== but);
  const left = things.map((t) => outsideOf(t, x, y) - (t.doubt ?? 0));
  return atLeast('clear-of-things', of, Math.min(wall.width, ...left), r + THING_MM, 'mm');
}

/** Runs that were seen, as lines or as far as the camera saw, and live wires that nobody has looked at since. */
function clearOfHazards(wall: WallRead, hole: Hole): Obligation[] {
  const seen = wall.looks.filter((k) => k.found !== 'clear').map((k) => runOf(k, wall));
  const live = wall.evidence.flatMap((e) =>
    e.kind === 'live' ? [{ left: e.x, right: e.x, bottom: e.y, top: e.y }] : [],
  );
  const off = (boxes: readonly Box[]) => Math.min(wall.width, ...boxes.map((b) => outsideOf(b, hole.x, hole.y)));
  const clear = hole.hazard === 'clear' && wall.looks.some((k) => shows(k, hole));
  return [
    atLeast('clear-of-hazards', hole.id, off(seen), SEEN_MM, 'mm'),
    ...(clear || live.length === 0 ? [] : [atLeast('clear-of-hazards', hole.id, off(live), LIVE_MM, 'mm')]),
  ];
}

function runOf({ x, y, runs, reach = LOOK_REACH_MM }: Look, { width, height }: WallRead): Box {
  if (runs === 'vertical') return { left: x, right: x, bottom: 0, top: height };
  if (runs === 'horizontal') return { left: 0, right: width, bottom: y, top: y };
  return { left: x - LOOK_BESIDE_MM, right: x + LOOK_BESIDE_MM, bottom: y - reach, top: y + reach };
}

const shows = ({ found, x, y, reach = LOOK_REACH_MM }: Look, hole: Hole): boolean =>
  found === 'clear' && Math.abs(x - hole.x) <= LOOK_NEAR_MM && Math.abs(y - hole.y) <= reach;

/** Looked into near enough and found clear, or named in what is to be looked at; behind an opening that is made it is seen. */
function looked({ plan }: Read, wall: WallRead, hole: Hole): Obligation {
  const named = plan.findings.some((f) => f.code === 'look-first' && (f.values.holes as string[]).includes(hole.id));
  const opened = plan.timber?.opening !== undefined && inside(plan.timber.opening, hole.x, hole.y);
  const seen = hole.hazard === 'clear' && (opened || wall.looks.some((k) => shows(k, hole)));
  return flag('looked', hole.id, seen || (opened && hole.hazard !== 'seen') || (named && hole.hazard !== 'seen'));
}

/** A free edge near a hole: how far it is, and which way. */
export interface FreeEdge {
  off: number;
  x: number;
  y: number;
  top: boolean;
}

/** The free edges about a place in masonry: the wall's ends without a return, openings, and where another build begins. */
export function freeEdges(wall: WallRead, x: number, y: number): FreeEdge[] {
  const ends = [
    ...(wall.returns.left ? [] : [{ off: x, x: -1, y: 0, top: false }]),
    ...(wall.returns.right ? [] : [{ off: wall.width - x, x: 1, y: 0, top: false }]),
  ];
  const holes = wall.things.filter(
    (t) => t.kind === 'opening' || t.kind === 'window' || t.kind === 'door' || t.kind === 'box',
  );
  return [...ends, ...holes.map((t) => toBox(t, x, y, t.doubt)), ...partEdges(wall, x, y)].filter(
    (e) => e.off < wall.width,
  );
}

/** Towards a box that is no masonry; up to the wall below a window it is a free top. */
function toBox(box: Box, x: number, y: number, doubt = 0): FreeEdge {
  const dx = x < box.left ? 1 : x > box.right ? -1 : 0;
  const dy = y < box.bottom ? 1 : y > box.top ? -1 : 0;
  return { off: outsideOf(box, x, y) - doubt, x: dx, y: dy, top: dy > 0 };
}

/** Along each axis the first place at which the wall is no masonry any more. */
function partEdges(wall: WallRead, x: number, y: number): FreeEdge[] {
  const ways = [
    ...[
      { x: -1, y: 0 },
      { x: 1, y: 0 },
    ].map((w) => ({ ...w, cuts: wall.zones.flatMap((z) => [z.left, z.right].map((at) => ({ at, z }))) })),
    ...[
      { x: 0, y: -1 },
      { x: 0, y: 1 },
    ].map((w) => ({ ...w, cuts: wall.zones.flatMap((z) => [z.bottom, z.top].map((at) => ({ at, z }))) })),
  ];
  return ways.flatMap((w) => {
    const beyond = w.cuts
      .map(({ at, z }) => ({ off: (at - (w.x ? x : y)) * (w.x || w.y), doubt: z.doubt ?? 0 }))
      .filter((c) => c.off >= 0)
      .sort((a, b) => a.off - b.off);
    const first = beyond.find((c) => !isMasonry(wall, x + w.x * (c.off + 0.5), y + w.y * (c.off + 0.5)));
    return first ? [{ off: first.off - first.doubt, x: w.x, y: w.y, top: w.y > 0 }] : [];
  });
}

const isMasonry = (wall: WallRead, x: number, y: number): boolean =>
  x < 0 || x > wall.width || y < 0 || y > wall.height || buildAt(wall, x, y).kind === 'masonry';

/** At least 60 mm off every free edge, and in no low unit right under a free top. */
function edgeChecks(wall: WallRead, { id, x, y }: Hole): Obligation[] {
  const edges = freeEdges(wall, x, y);
  const { masonry = 'block', unit } = buildAt(wall, x, y);
  const high = unit?.height ?? (masonry === 'brick' ? 65 : masonry === 'stone' ? 150 : 215);
  const course = high + (unit?.joint ?? 10);
  const tops = masonry !== 'concrete' && high < LOW_UNIT_MM ? edges.filter((e) => e.top) : [];
  return [
    atLeast('free-edge', id, Math.min(wall.width, ...edges.map((e) => e.off)), LEAST_EDGE_MM, 'mm'),
    ...tops.map((e) => atLeast('free-edge', id, e.off, course, 'mm')),
  ];
}

/** The plate and what hangs folded before it: on the wall, over the floor and under the ceiling, beside no side wall. */
function outlines({ plan, walls, job }: Read): Obligation[] {
  const { placement, sideWall } = plan;
  const { main } = walls;
  const off = (b: Box, wall: WallRead) => Math.min(b.left, wall.width - b.right, b.bottom, wall.height - b.top);
  const plates = [
    ...(placement?.plate ? [atLeast('on-wall', 'plate', off(placement.plate, main), 0, 'mm')] : []),
    ...(sideWall?.plate ? [atLeast('on-wall', 'plate', off(sideWall.plate, walls[sideWall.side]), 0, 'mm')] : []),
  ];
  if (!placement || plan.corner) return plates;
  const ends = [
    ...(job.room.wall.returns?.left ? [placement.left] : []),
    ...(job.room.wall.returns?.right ? [main.width - placement.right] : []),
  ];
  const set = Math.min(placement.bottom, main.height - placement.top, ...ends);
  return [...plates, atMost('on-wall', 'set', -set, 0, 'mm')];
}
