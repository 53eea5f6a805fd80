import { overlap, type LabelSpot, type PxBox } from './placeLabels';

/** Something with a name, px of the drawing. */
export interface NamedThing {
  id: string;
  name: string;
  box: PxBox;
  /** What it is: an area holds its name, a line ends in it, somebody's head has it beside. */
  shape: 'area' | 'line' | 'head';
}

export interface PlacedName extends PxBox {
  id: string;
  name: string;
  /** From the name to its thing, where it had to move away. */
  leader?: { from: LabelSpot; to: LabelSpot };
}

export interface NameRules {
  view: { width: number; height: number };
  /** Tape and whatever else no name may lie on. */
  taken: readonly PxBox[];
  /** Lines of the drawing as thin boxes: no name lies across one. */
  edges: readonly PxBox[];
  charPx: number;
  heightPx: number;
}

const GAP_PX = 4;
/** How far a name moves away from a crowded place, px; beyond that it would be taken for another thing's. */
const AWAY_PX = [18, 34, 50, 70, 90, 115, 140];
const ROUND = 12;

/**
 * Where names go. In the order of the drawing each takes the first place that is inside the drawing and clear of
 * tape, of every name before it, of every edge, and of every leader:
 *
 * 1. an area's name inside it, low, high or in its middle; a line's over or under its right end; a head's beside it;
 * 2. outside, against its upper, lower, right or left side;
 * 3. further away in rings, with a leader back to it that crosses no name and no tape.
 *
 * A name that finds none within 140 px is left out: the list beside the drawing has it.
 */
export function placeNames(things: readonly NamedThing[], rules: NameRules): PlacedName[] {
  const put: PlacedName[] = [];
  for (const thing of things) {
    const size = { width: thing.name.length * rules.charPx, height: rules.heightPx };
    const free = (box: PxBox): boolean =>
      inView(box, rules.view) &&
      ![...rules.taken, ...put, ...rules.edges].some((other) => overlap(box, other)) &&
      !put.some(({ leader }) => leader && crosses(leader, box));
    const near = [...own(thing, size), ...against(thing.box, size)].find(free);
    if (near) {
      put.push({ id: thing.id, name: thing.name, ...near });
      continue;
    }
    for (const box of around(thing.box, size)) {
      const leader = leaderOf(box, thing.box);
      if (!free(box) || [...rules.taken, ...put].some((other) => crosses(leader, other))) continue;
      put.push({ id: thing.id, name: thing.name, ...box, leader });
      break;
    }
  }
  return put;
}

type Size = Pick<PxBox, 'width' | 'height'>;

function own({ box, shape }: NamedThing, { width, height }: Size): PxBox[] {
  const { x, y } = box;
  if (shape === 'line') {
    const end = x + box.width - width - 2 * GAP_PX;
    return [y - height - 2, y + box.height + 2].map((at) => ({ x: end, y: at, width, height }));
  }
  if (shape === 'head') {
    const middle = y + (box.height - height) / 2;
    return [x + box.width + 6, x - width - 6].map((at) => ({ x: at, y: middle, width, height }));
  }
  if (box.width < width + 2 * GAP_PX || box.height < height + 2 * GAP_PX) return [];
  const across = x + (box.width - width) / 2;
  const [low, high] = [y + box.height - height - 10, y + 6];
  return [low, high, (low + high) / 2].map((at) => ({ x: across, y: at, width, height }));
}

/** Outside and against a side, in its middle, then towards either end of it. */
function against(box: PxBox, { width, height }: Size): PxBox[] {
  const ends = [0.5, 0, 1];
  const across = ends.map((e) => box.x + (box.width - width) * e);
  const down = ends.map((e) => box.y + (box.height - height) * e);
  return [
    ...across.map((x) => ({ x, y: box.y - height - GAP_PX, width, height })),
    ...across.map((x) => ({ x, y: box.y + box.height + GAP_PX, width, height })),
    ...down.map((y) => ({ x: box.x + box.width + GAP_PX, y, width, height })),
    ...down.map((y) => ({ x: box.x - width - GAP_PX, y, width, height })),
  ];
}

function around(box: PxBox, { width, height }: Size): PxBox[] {
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  return AWAY_PX.flatMap((away) =>
    Array.from({ length: ROUND }, (_, i) => {
      const turn = (2 * Math.PI * i) / ROUND - Math.PI / 2;
      const x = middle.x + Math.cos(turn) * (box.width / 2 + away + width / 2);
      const y = middle.y + Math.sin(turn) * (box.height / 2 + away);
      return { x: x - width / 2, y: y - height / 2, width, height };
    }),
  );
}

const inView = (b: PxBox, view: NameRules['view']): boolean =>
  b.x >= 2 && b.y >= 2 && b.x + b.width <= view.width - 2 && b.y + b.height <= view.height - 2;

/** Between the nearest points of a name and its thing. */
function leaderOf(name: PxBox, thing: PxBox): { from: LabelSpot; to: LabelSpot } {
  const to = nearest(thing, { x: name.x + name.width / 2, y: name.y + name.height / 2 });
  return { from: nearest(name, to), to };
}

const nearest = (b: PxBox, { x, y }: LabelSpot): LabelSpot => ({
  x: Math.min(Math.max(x, b.x), b.x + b.width),
  y: Math.min(Math.max(y, b.y), b.y + b.height),
});

/** Whether a line runs through the inside of a box: the part of it that is between all four sides has a length. */
function crosses({ from, to }: { from: LabelSpot; to: LabelSpot }, box: PxBox): boolean {
  let [start, end] = [0, 1];
  for (const [at, way, low, high] of [
    [from.x, to.x - from.x, box.x, box.x + box.width],
    [from.y, to.y - from.y, box.y, box.y + box.height],
  ] as const) {
    if (way === 0) {
      if (at <= low || at >= high) return false;
      continue;
    }
    const [a, b] = [(low - at) / way, (high - at) / way];
    start = Math.max(start, Math.min(a, b));
    end = Math.min(end, Math.max(a, b));
  }
  return end - start > 1e-9;
}
