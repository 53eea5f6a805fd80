import { type TapeStyle, onDivision } from '../primitives/formatTape';

/** A thing this close pulls a dragged edge or middle to it, mm on the wall. Ours. */
export const SNAP_MM = 25;

export interface SnapBox {
  left: number;
  right: number;
  bottom: number;
  top: number;
}
/** A line that a dragged thing was pulled to: across (`x`) or along (`y`) the wall, mm. */
export interface SnapGuide {
  axis: 'x' | 'y';
  at: number;
}
export interface Snapped {
  box: SnapBox;
  guides: SnapGuide[];
}

/**
 * Where a dragged box comes to rest: its edges and its middle are pulled to the edges and middles
 * of the others when they are within reach; on an axis where nothing is near its lower left corner
 * goes to the tape's division. The size never changes.
 * A box from 498 to 698 beside one that ends at 500, within 10: 500 to 700, guide x at 500.
 */
export function snapBox(box: SnapBox, others: readonly SnapBox[], reachMm: number, tape: TapeStyle): Snapped {
  const x = pull(
    [box.left, box.right],
    others.map((o) => [o.left, o.right]),
    reachMm,
  );
  const y = pull(
    [box.bottom, box.top],
    others.map((o) => [o.bottom, o.top]),
    reachMm,
  );
  const dx = x ? x.by : onDivision(box.left, tape) - box.left;
  const dy = y ? y.by : onDivision(box.bottom, tape) - box.bottom;
  return {
    box: {
      left: box.left + dx,
      right: box.right + dx,
      bottom: box.bottom + dy,
      top: box.top + dy,
    },
    guides: [...(x ? [{ axis: 'x' as const, at: x.at }] : []), ...(y ? [{ axis: 'y' as const, at: y.at }] : [])],
  };
}

const lines = ([from, to]: readonly [number, number]): number[] => [from, to, (from + to) / 2];

/** The least move that brings a line of the span onto a line of another; edges before middles where equal. */
function pull(
  span: readonly [number, number],
  others: readonly (readonly [number, number])[],
  reachMm: number,
): { by: number; at: number } | undefined {
  let best: { by: number; at: number } | undefined;
  for (const at of others.flatMap(lines))
    for (const own of lines(span)) {
      const by = at - own;
      if (Math.abs(by) <= reachMm && (!best || Math.abs(by) < Math.abs(best.by))) best = { by, at };
    }
  return best;
}
