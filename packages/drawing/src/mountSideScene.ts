import type { Mount } from '@steddo/contract';
import { formatTape, reachOf, tapeOf } from '@steddo/core';
import { grow, type Box, type Label, type Scene, type Shape } from './scene';

const WALL_MM = 30;
/** A plate of which nobody has measured the thickness or height is drawn so. */
const PLATE_MM = { thickness: 3, height: 200 } as const;
/** Of a set, whose size is not the mount's: so much of its back, so thick. */
const SET_MM = { height: 320, thickness: 45 } as const;

/** A mount from the side by its own numbers: wall, plate, hook, and the set's back folded and as far out as it comes. x out from the wall. */
export function mountSideScene(mount: Mount, units: 'imperial' | 'metric'): Scene {
  const { plate, hook, depth } = mount;
  const height = plate?.height ?? PLATE_MM.height;
  const thick = plate?.thickness ?? PLATE_MM.thickness;
  const rail = hook?.above ?? height * 0.85;
  const out = reachOf(mount);
  const moves = out > depth.folded + 1;
  const show = (mm: number) => formatTape(mm, tapeOf(units)).replace(/ in$/, '');
  const set = (at: number): Box => ({
    left: at,
    right: at + SET_MM.thickness,
    bottom: rail - SET_MM.height / 2,
    top: rail + SET_MM.height / 2,
  });
  const low = Math.min(0, rail - SET_MM.height / 2) - 20;
  const high = Math.max(height, rail + SET_MM.height / 2) + 20;
  const link = (id: string, to: number): Shape => ({
    kind: 'line',
    role: 'link',
    id,
    x1: thick,
    y1: rail,
    x2: to,
    y2: rail,
  });
  const shapes: Shape[] = [
    { kind: 'rect', role: 'cut', id: 'wall', left: -WALL_MM, right: 0, bottom: low, top: high },
    ...(moves
      ? [link('link-out', out), { kind: 'rect', role: 'set-tilted', id: 'set-out', ...set(out) } satisfies Shape]
      : []),
    link('link', depth.folded),
    { kind: 'rect', role: 'plate', id: 'plate', left: 0, right: Math.max(thick, 4), bottom: 0, top: height },
    { kind: 'rect', role: 'set-cut', id: 'set', ...set(depth.folded) },
  ];
  const labels: Label[] = [
    {
      id: 'folded',
      text: `${show(depth.folded)} off the wall`,
      x: depth.folded,
      y: rail - SET_MM.height / 2,
      side: 'below',
    },
    ...(moves
      ? [{ id: 'out', text: `${show(out)} out`, x: out, y: rail + SET_MM.height / 2, side: 'above' } satisfies Label]
      : []),
  ];
  const bounds = grow(
    { left: -WALL_MM, right: Math.max(out, depth.folded) + SET_MM.thickness, bottom: low, top: high },
    30,
  );
  return { bounds, focus: bounds, shapes, labels };
}
