import type { Box } from './scene';

/** From mm on the wall to px on the screen and back; one scale for both axes. */
export interface View {
  scale: number;
  /** Which way x runs on the screen: -1 where the drawing is turned round. */
  across: 1 | -1;
  toPx: (x: number, y: number) => { x: number; y: number };
  toMm: (px: number, py: number) => { x: number; y: number };
}

/** What a drawing is fitted into, px. */
export interface Pane {
  width: number;
  height: number;
  padPx?: number;
  stands?: 'floor' | 'middle';
  /** Taken by what lies over the drawing's upper edge. */
  topPx?: number;
}

/**
 * Fits a box into a drawing of so many px, centred sideways: a wall stands on the drawing's lower edge
 * with the floor's hatching in sight, what has no floor floats in the middle, below what lies over
 * the drawing's upper edge.
 */
export function fitView(box: Box, { width, height, padPx = 14, stands = 'floor', topPx = 0 }: Pane): View {
  const wide = Math.max(1, box.right - box.left);
  const tall = Math.max(1, box.top - box.bottom);
  const room = height - topPx;
  const scale = Math.max(0.001, Math.min((width - 2 * padPx) / wide, (room - 2 * padPx) / tall));
  const x0 = width / 2 - ((box.left + box.right) / 2) * scale;
  const low = stands === 'floor' ? padPx : (room - tall * scale) / 2;
  const y0 = height - low + box.bottom * scale;
  return {
    scale,
    across: 1,
    toPx: (x, y) => ({ x: x0 + x * scale, y: y0 - y * scale }),
    toMm: (px, py) => ({ x: (px - x0) / scale, y: (y0 - py) / scale }),
  };
}

/** The same of a drawing that is turned round, so wide. */
export const mirrored = (view: View, width: number): View => ({
  scale: view.scale,
  across: -1,
  toPx: (x, y) => view.toPx(width - x, y),
  toMm: (px, py) => {
    const { x, y } = view.toMm(px, py);
    return { x: width - x, y };
  },
});

/** A round length for the scale bar: the longest of 1, 2, 5 times a power of ten that fits. */
export function scaleBar(scale: number, mostPx: number, units: 'imperial' | 'metric'): { mm: number; text: string } {
  const inch = units === 'imperial';
  const unitMm = inch ? 25.4 : 10;
  const most = mostPx / scale / unitMm;
  const small = SMALL[units].find((o) => o.share <= most);
  if (most < 1 && small) return { mm: small.share * unitMm, text: small.text };
  const power = 10 ** Math.floor(Math.log10(Math.max(most, 1)));
  const step = [5, 2, 1].find((s) => s * power <= most) ?? 1;
  const count = step * power;
  return { mm: count * unitMm, text: `${count} ${inch ? 'in' : 'cm'}` };
}

/** Bars shorter than the unit, as tapes divide it. */
const SMALL = {
  imperial: [2, 4, 8, 16].map((n) => ({ share: 1 / n, text: `1/${n} in` })),
  metric: [5, 2, 1].map((mm) => ({ share: mm / 10, text: `${mm} mm` })),
};
