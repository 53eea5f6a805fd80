import type { Evidence, Side, Working } from '@steddo/contract';
import { half, leaf, minus, node, sum } from '../primitives/working';

/** A poke goes 3/4 in in from an edge to the middle, and an edge is known to 1/8 in. Common practice, ours. */
const POKE_STEP_MM = 19.05;
const POKE_FINE_MM = 3.2;

/** How far the poking has come: the next poke, the edges found, and the middle that they give. */
export interface ProbeStep {
  phase: 'find-wood' | 'first-edge' | 'other-edge' | 'done';
  /** Where to poke next; absent when both edges are known. */
  next?: number;
  left?: Working;
  right?: Working;
  /** From one edge a half stud in; from both the mean. */
  middle?: Working;
  /** What was found is two plies wide, or no width that a stud has. */
  width?: 'double' | 'odd';
}

export interface ProbeInput {
  evidence: readonly Evidence[];
  /** Where wood is looked for first, mm from the wall's left end. */
  start: number;
  plyWidth: Working;
  /** Which edge first: the one whose small holes the plate hides. */
  first: Side;
}

/** Pokes further from the start belong to another stud, mm: half the least pitch and a ply. */
const NEAR_MM = 107;

/** A poke so close to one that was made tells nothing new, mm. */
const SAME_POKE_MM = 2.5;

/**
 * Poke along a line until wood, from the wood to an edge, then 3/4 in in from it is the middle; and the
 * other edge from the other side, to confirm.
 *
 *     hollow   wood ......... wood   hollow          next poke: half-way between the last wood
 *        x      o              o       x             and the first hollow, until they are 1/8 in
 *          ^ edge              ^ edge ^              apart; the edge is half-way between
 *
 * Wood at 1600, hollow at 1619.05: next 1609.5. Known to 1/8 in: right edge e, middle e - half a stud.
 */
export function probeRoutine({ evidence, start, plyWidth, first }: ProbeInput): ProbeStep {
  const pokes = evidence.filter((e) => e.kind === 'probe' && Math.abs(e.x - start) <= NEAR_MM) as Poke[];
  const wood = pokes.filter((p) => p.found === 'wood').map((p) => p.x);
  if (wood.length === 0) return { phase: 'find-wood', next: outward(start, pokes) };
  const ends = { left: bracket(pokes, wood, 'left'), right: bracket(pokes, wood, 'right') };
  const second = first === 'left' ? 'right' : 'left';
  const found = { left: edgeOf(ends.left), right: edgeOf(ends.right) };
  const edges = { ...(found.left ? { left: found.left } : {}), ...(found.right ? { right: found.right } : {}) };
  const middle = middleOf(found.left, found.right, plyWidth);
  const open = ([first, second] as const).find((s) => !found[s]);
  if (!open) {
    const width = widthWord(found.right!.value - found.left!.value, plyWidth.value);
    return { phase: 'done', ...edges, ...(middle ? { middle } : {}), ...(width ? { width } : {}) };
  }
  const other = found[open === 'left' ? 'right' : 'left'];
  const next = nextPoke(ends[open], open, other?.value, plyWidth.value);
  return { phase: other ? 'other-edge' : 'first-edge', next, ...edges, ...(middle ? { middle } : {}) };
}

type Poke = Extract<Evidence, { kind: 'probe' }>;

/** The last wood towards a side, and the nearest poke without wood beyond it. */
interface Bracket {
  wood: Poke | undefined;
  hollow: Poke | undefined;
  at: number;
}

function bracket(pokes: readonly Poke[], wood: readonly number[], side: Side): Bracket {
  const sign = side === 'left' ? -1 : 1;
  const at = sign * Math.max(...wood.map((x) => sign * x));
  const beyond = pokes.filter((p) => p.found !== 'wood' && sign * (p.x - at) > 0).sort((a, b) => sign * (a.x - b.x));
  return { wood: pokes.find((p) => p.x === at), hollow: beyond[0], at };
}

function edgeOf({ wood, hollow }: Bracket): Working | undefined {
  if (!wood || !hollow || Math.abs(hollow.x - wood.x) > POKE_FINE_MM) return undefined;
  const poke = (p: Poke) => leaf('poked-at', p.x, 'mm', { path: `evidence.${p.id}.x` });
  return node('poked-edge', 'mean', 'mm', [poke(wood), poke(hollow)]);
}

function nextPoke({ hollow, at }: Bracket, side: Side, other: number | undefined, ply: number): number {
  const sign = side === 'left' ? -1 : 1;
  if (hollow) return (at + hollow.x) / 2;
  // with the other edge known, this one should be a ply further: just beyond it should be none
  const expected = other === undefined ? undefined : other + sign * (ply + POKE_FINE_MM / 2);
  if (expected !== undefined && sign * (expected - at) > SAME_POKE_MM) return expected;
  return at + sign * POKE_STEP_MM;
}

function middleOf(left: Working | undefined, right: Working | undefined, plyWidth: Working): Working | undefined {
  const in_ = half('half-stud', plyWidth);
  if (left && right) return node('probed-middle', 'mean', 'mm', [left, right]);
  if (left) return sum('probed-middle', left, in_);
  return right ? minus('probed-middle', right, in_) : undefined;
}

/** Start, then 3/4 in to the right, to the left, and so on outward. */
function outward(start: number, pokes: readonly Poke[]): number {
  for (let k = 0; ; k++) {
    const x = start + POKE_STEP_MM * (k % 2 === 0 ? -k / 2 : (k + 1) / 2);
    if (!pokes.some((p) => Math.abs(p.x - x) < SAME_POKE_MM)) return x;
  }
}

function widthWord(width: number, ply: number): ProbeStep['width'] {
  if (Math.abs(width - 2 * ply) <= 2 * POKE_FINE_MM) return 'double';
  return Math.abs(width - ply) <= 2 * POKE_FINE_MM ? undefined : 'odd';
}
