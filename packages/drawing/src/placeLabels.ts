import type { Label } from './scene';

/** Where the strips of tape go, in px of the drawing: never over a hole, never over each other. */
export interface LabelSpot {
  x: number;
  y: number;
}
export interface PxBox {
  x: number;
  y: number;
  width: number;
  height: number;
}
export interface PlacedLabel extends PxBox {
  id: string;
  text: string;
  /** From the tape to its point, when the tape had to move away. */
  leader?: { from: LabelSpot; to: LabelSpot };
}

export interface LabelRules {
  view: { width: number; height: number };
  /** Parts of the drawing that tape must not cover, such as holes. */
  keepClear: readonly PxBox[];
  toPx: (x: number, y: number) => LabelSpot;
  charPx: number;
  heightPx: number;
}

const PAD_PX = 16;
const GAP_PX = 5;
/** How far a tape may be pushed from its point, step by step. */
const STEPS = 14;

/**
 * Places labels greedily in order: the wanted side first, then the others, each pushed further out
 * until it is free. A label that finds no free place is left out; its number is in the list below.
 */
export function placeLabels(labels: readonly Label[], rules: LabelRules): PlacedLabel[] {
  const placed: PlacedLabel[] = [];
  for (const label of labels) {
    const at = rules.toPx(label.x, label.y);
    const box = candidates(label, at, rules).find(
      (c) => inside(c, rules.view) && ![...rules.keepClear, ...placed].some((other) => overlap(c, other)),
    );
    if (box) placed.push({ id: label.id, text: label.text, ...box, ...leaderOf(box, at) });
  }
  return placed;
}

function candidates(label: Label, at: LabelSpot, rules: LabelRules): PxBox[] {
  const width = label.text.length * rules.charPx + PAD_PX;
  const height = rules.heightPx;
  const sides = [label.side, ...(['above', 'below', 'right', 'left'] as const).filter((s) => s !== label.side)];
  const place = (side: Label['side'], step: number): PxBox => {
    const push = GAP_PX + step * (height / 2);
    if (side === 'above') return { x: at.x - width / 2, y: at.y - height - push, width, height };
    if (side === 'below') return { x: at.x - width / 2, y: at.y + push, width, height };
    if (side === 'right') return { x: at.x + push, y: at.y - height / 2, width, height };
    return { x: at.x - width - push, y: at.y - height / 2, width, height };
  };
  const near = sides.flatMap((side) => [0, 1, 2].map((step) => place(side, step)));
  const far = Array.from({ length: STEPS }, (_, step) => sides.map((side) => place(side, step + 3)));
  const shifted = near.flatMap((b) => [-0.5, 0.5].map((s) => ({ ...b, x: b.x + s * b.width })));
  return [...near, ...shifted, ...far.flat()];
}

const inside = (b: PxBox, view: LabelRules['view']): boolean =>
  b.x >= 2 && b.y >= 2 && b.x + b.width <= view.width - 2 && b.y + b.height <= view.height - 2;

export const overlap = (a: PxBox, b: PxBox): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

function leaderOf(box: PxBox, to: LabelSpot): Pick<PlacedLabel, 'leader'> {
  const from = {
    x: Math.min(Math.max(to.x, box.x), box.x + box.width),
    y: Math.min(Math.max(to.y, box.y), box.y + box.height),
  };
  const far = Math.hypot(from.x - to.x, from.y - to.y) > GAP_PX + 2;
  return far ? { leader: { from, to } } : {};
}
