import type { Mount } from '@steddo/contract';
import { formatTape, reachOf, tapeOf, toRad } from '@steddo/core';
import { grow, type Box, type Label, type Scene, type Shape } from './scene';

const WALL_MM = 30;
/** A plate of which nobody has measured the thickness or height is drawn so. */
const PLATE_MM = { thickness: 3, height: 200 } as const;
/** Of a set, whose size is not the mount's: so much of its back, so thick. */
const SET_MM = { height: 320, thickness: 45 } as const;

const TAPE_MM = 80;

/** A mount from the side by its own numbers: wall, plate, hook, and the set's back folded, and as far out or down as it comes. x out from the wall. */
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
  const down = mount.tilt?.down ?? 0;
  const tilted = tiltedSet(depth.folded, rail, down);
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
    ...(down > 0 && !moves
      ? [{ kind: 'poly', role: 'set-tilted', id: 'set-tilted', closed: true, points: tilted } satisfies Shape]
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
      : down > 0
        ? [{ id: 'tilt', text: `${down}° down`, x: tilted[2]![0], y: tilted[2]![1], side: 'right' } satisfies Label]
        : []),
  ];
  const bounds = grow(
    {
      left: -WALL_MM,
      right: Math.max(out + SET_MM.thickness, ...(moves ? [] : tilted.map(([x]) => x))),
      bottom: low,
      top: high,
    },
    30,
  );
  // tape hangs over and under it
  const focus = { ...bounds, bottom: bounds.bottom - TAPE_MM, top: bounds.top + TAPE_MM };
  return { bounds, focus, shapes, labels };
}

/** The set's back turned down about the rail: its top comes out. */
function tiltedSet(back: number, rail: number, degrees: number): [number, number][] {
  const [sin, cos] = [Math.sin(toRad(degrees)), Math.cos(toRad(degrees))];
  const half = SET_MM.height / 2;
  return (
    [
      [0, -half],
      [0, half],
      [SET_MM.thickness, half],
      [SET_MM.thickness, -half],
    ] as const
  ).map(([x, y]) => [back + x * cos + y * sin, rail + y * cos - x * sin]);
}
