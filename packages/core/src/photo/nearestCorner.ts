import { brightness, type GreyPicture } from './greyPicture';
import type { PicturePlace } from './pictures';

/** What a tap was drawn to; with none near it stays where it was tapped. */
export interface Drawn extends PicturePlace {
  to: 'corner' | 'edge' | 'nothing';
}

/** How far a finger's tap may be drawn, and what is looked at round it, pixels. */
const WINDOW_PX = 7;
const MOST_DRAWN_PX = 14;
const STEPS = 24;
const SETTLED_PX = 0.01;
/** A step of brightness that is more than a sensor's grain, of 255. Ours. */
const LEAST_STEP = 10;
/** Of the weaker way's to the stronger way's gradients squared: less is an edge and no corner. Ours. */
const CORNER_SHARE = 0.1;

/**
 * A tap drawn to the nearest corner of the picture, to a part of a pixel: the place from which every gradient in the window
 * is at right angles to the way there (Foerstner and Guelch, 1987, from memory). Where all gradients go one way it is drawn
 * to that edge alone; where there are none it stays.
 * A dark square's corner at (40.3, 25.7) tapped at (44, 22) is drawn to within a tenth of a pixel.
 */
export function nearestCorner(picture: GreyPicture, tap: PicturePlace): Drawn {
  let at = tap;
  let to: Drawn['to'] = 'nothing';
  for (let i = 0; i < STEPS; i++) {
    const next = towards(picture, at);
    if (!next) break;
    to = next.to;
    const moved = Math.hypot(next.u - at.u, next.v - at.v);
    at = { u: next.u, v: next.v };
    if (Math.hypot(at.u - tap.u, at.v - tap.v) > MOST_DRAWN_PX) return { ...tap, to: 'nothing' };
    if (moved < SETTLED_PX) break;
  }
  return to === 'nothing' ? { ...tap, to } : { ...at, to };
}

/** One step towards where the gradients of the window meet. */
function towards(picture: GreyPicture, at: PicturePlace): Drawn | undefined {
  let [gg, gh, hh, bu, bv] = [0, 0, 0, 0, 0];
  let steepest = 0;
  for (let dv = -WINDOW_PX; dv <= WINDOW_PX; dv++)
    for (let du = -WINDOW_PX; du <= WINDOW_PX; du++) {
      const [u, v] = [at.u + du, at.v + dv];
      const { g, h } = slope(picture, u, v);
      const size = g * g + h * h;
      steepest = Math.max(steepest, size);
      // grain pulls everywhere alike, and the window's middle more than its rim
      if (size < (LEAST_STEP / 4) ** 2) continue;
      const weight = Math.exp(-(du * du + dv * dv) / (WINDOW_PX * WINDOW_PX));
      gg += weight * g * g;
      gh += weight * g * h;
      hh += weight * h * h;
      bu += weight * (g * g * du + g * h * dv);
      bv += weight * (g * h * du + h * h * dv);
    }
  if (Math.sqrt(steepest) < LEAST_STEP / 2) return undefined;
  const trace = gg + hh;
  const root = Math.sqrt((gg - hh) ** 2 / 4 + gh * gh);
  const [strong, weak] = [trace / 2 + root, trace / 2 - root];
  if (weak > CORNER_SHARE * strong) {
    const det = gg * hh - gh * gh;
    return { u: at.u + (bu * hh - bv * gh) / det, v: at.v + (bv * gg - bu * gh) / det, to: 'corner' };
  }
  // along the strong way alone
  const [x, y] = Math.abs(gh) > 1e-9 ? [strong - hh, gh] : gg >= hh ? [1, 0] : [0, 1];
  const long = Math.hypot(x, y);
  const [nu, nv] = [x / long, y / long];
  const by = (bu * nu + bv * nv) / strong;
  return { u: at.u + by * nu, v: at.v + by * nv, to: 'edge' };
}

/** How the brightness changes to the right and down, three neighbours together so that grain counts for less. */
function slope(picture: GreyPicture, u: number, v: number): { g: number; h: number } {
  const at = (du: number, dv: number) => brightness(picture, u + du, v + dv);
  const [upperLeft, upperRight, lowerLeft, lowerRight] = [at(-1, -1), at(1, -1), at(-1, 1), at(1, 1)];
  return {
    g: (upperRight + 2 * at(1, 0) + lowerRight - upperLeft - 2 * at(-1, 0) - lowerLeft) / 8,
    h: (lowerLeft + 2 * at(0, 1) + lowerRight - upperLeft - 2 * at(0, -1) - upperRight) / 8,
  };
}

/** Looked for across the line between two ends, pixels. */
const ACROSS_PX = 16;
const ALONG = 15;
const BESIDE_PX = [-4, -2, 0, 2, 4];
/** Of the places along it that must have an edge. */
const LEAST_FOUND = 5;

/**
 * A straight edge between two ends found along its length: at evenly spaced places the steepest change across, to a part
 * of a pixel. Empty where fewer than five of fifteen have one.
 */
export function alongEdge(picture: GreyPicture, from: PicturePlace, to: PicturePlace): PicturePlace[] {
  const long = Math.hypot(to.u - from.u, to.v - from.v);
  if (long === 0) return [];
  const [nu, nv] = [-(to.v - from.v) / long, (to.u - from.u) / long];
  const found: PicturePlace[] = [];
  for (let i = 0; i < ALONG; i++) {
    const share = (i + 0.5) / ALONG;
    const [u, v] = [from.u + share * (to.u - from.u), from.v + share * (to.v - from.v)];
    // a few beside each other along it, so that grain counts for less
    const across = (d: number) =>
      BESIDE_PX.reduce((sum, k) => sum + brightness(picture, u + d * nu + k * nv, v + d * nv - k * nu), 0) /
      BESIDE_PX.length;
    const steep = (d: number) => Math.abs(across(d + 1) - across(d - 1));
    let best = 0;
    for (let d = -ACROSS_PX; d <= ACROSS_PX; d++) if (steep(d) > steep(best)) best = d;
    const top = steep(best);
    if (top < LEAST_STEP) continue;
    // the middle of what is about as steep: a parabola through three
    const [before, after] = [steep(best - 1), steep(best + 1)];
    const bend = before - 2 * top + after;
    const d = best + (bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0);
    found.push({ u: u + d * nu, v: v + d * nv });
  }
  return found.length >= LEAST_FOUND ? found : [];
}
