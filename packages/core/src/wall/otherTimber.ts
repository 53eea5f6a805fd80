import type { Backing, Evidence, Nogging, Stud } from '@steddo/contract';

/** Nogging marks this close in height are one nogging, mm. Ours. */
const SAME_NOGGING_MM = 40;

/**
 * Level timbers by their marks: marks close in height are one nogging, and it reaches from stud to stud
 * across each bay that it was marked in. A mark at 1210 between studs at 1222 and 1628: 1241 to 1609.
 */
export function noggingsOf(evidence: readonly Evidence[], studs: readonly Stud[], widthMm: number): Nogging[] {
  const marks = evidence.filter((e) => e.kind === 'nogging').sort((a, b) => a.y - b.y);
  const bays = marks.map((mark) => ({ mark, ...bayAt(mark.x, studs, widthMm) }));
  const found: { y: number; left: number; right: number; marks: Evidence[] }[] = [];
  for (const { mark, left, right } of bays) {
    const known = found.find((n) => n.left === left && Math.abs(n.y - mark.y) <= SAME_NOGGING_MM);
    if (known) {
      known.marks.push(mark);
      known.y = meanOf(known.marks.map((m) => m.y ?? 0));
    } else found.push({ y: mark.y, left, right, marks: [mark] });
  }
  return found.map(({ y, left, right, marks: own }) => ({ y, left, right, evidence: own.map((m) => m.id) }));
}

/** The clear bay around `x`, from face to face of the studs beside it, or the wall's end. */
export function bayAt(x: number, studs: readonly Stud[], widthMm: number): { left: number; right: number } {
  const before = studs.filter((s) => s.centre <= x).at(-1);
  const after = studs.find((s) => s.centre > x);
  return {
    left: before ? Math.min(x, before.centre + before.width / 2) : 0,
    right: after ? Math.max(x, after.centre - after.width / 2) : widthMm,
  };
}

/**
 * A panel of backing from its edges: each side is the mean of its marks, and absent while nobody found
 * it. Left edges at 1500 and 1504: left 1502.
 */
export function backingOf(evidence: readonly Evidence[]): Backing | undefined {
  const edges = evidence.filter((e) => e.kind === 'backing-edge');
  if (edges.length === 0) return undefined;
  const at = (side: 'left' | 'right' | 'top' | 'bottom') => {
    const marks = edges.filter((e) => e.side === side);
    const values = marks.flatMap((e) => (side === 'left' || side === 'right' ? [e.x] : e.y === undefined ? [] : [e.y]));
    return values.length === 0 ? {} : { [side]: meanOf(values) };
  };
  return {
    ...at('left'),
    ...at('right'),
    ...at('bottom'),
    ...at('top'),
    evidence: edges.map((e) => e.id),
  };
}

const meanOf = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
