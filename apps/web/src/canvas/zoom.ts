import type { View } from '@steddo/drawing';

/** How much closer a drawing is seen than it fits its place, and by how many px it is moved for that. */
export interface Zoom {
  factor: number;
  x: number;
  y: number;
}

export interface Size {
  width: number;
  height: number;
}

export const FITTED: Zoom = { factor: 1, x: 0, y: 0 };
const CLOSEST = 16;

/**
 * Closer or further by a factor, what lies at a point of the place staying there: twice as close at (100, 50) of a
 * fitted drawing is { factor: 2, x: -100, y: -50 }. Never further away than fitted, and never beyond its edges.
 */
export function zoomAt(zoom: Zoom, by: number, at: { x: number; y: number }, size: Size): Zoom {
  const factor = Math.min(CLOSEST, Math.max(1, zoom.factor * by));
  const ratio = factor / zoom.factor;
  return within({ factor, x: at.x - (at.x - zoom.x) * ratio, y: at.y - (at.y - zoom.y) * ratio }, size);
}

/** Moved by so many px, as far as there is something to see. */
export const panBy = (zoom: Zoom, dx: number, dy: number, size: Size): Zoom =>
  within({ factor: zoom.factor, x: zoom.x + dx, y: zoom.y + dy }, size);

function within({ factor, x, y }: Zoom, { width, height }: Size): Zoom {
  const side = (moved: number, long: number) => Math.min(0, Math.max(long * (1 - factor), moved));
  return { factor, x: side(x, width), y: side(y, height) };
}

/** The view that a zoom makes of a fitted one. */
export function zoomed(view: View, { factor, x, y }: Zoom): View {
  if (factor === 1) return view;
  return {
    scale: view.scale * factor,
    across: view.across,
    toPx: (mx, my) => {
      const at = view.toPx(mx, my);
      return { x: at.x * factor + x, y: at.y * factor + y };
    },
    toMm: (px, py) => view.toMm((px - x) / factor, (py - y) / factor),
  };
}
