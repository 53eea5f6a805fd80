import type { Mount } from '@steddo/contract';
import { armOf, formatTape, linkagePlaces, tapeOf, toRad, type Arm } from '@steddo/core';
import { grow, type Box, type Label, type Scene, type Shape } from './scene';

const WALL_MM = 30;
const SET_MM = 45;
/** A plate that nobody has measured is drawn so wide. */
const PLATE_MM = 200;
const JOINT_MM = 14;

type Point = readonly [number, number];
const flat = ({ x, z }: { x: number; z: number }): Point => [x, -z];

/**
 * A mount from above by its own numbers: wall, plate, its linkage folded to the left, straight out, and turned as far
 * as it goes; of the set its back, as wide as the widest pattern that it takes. x right of the plate's middle, y minus
 * out from the wall. A mount that does not move is only shown where it hangs.
 */
export function mountAboveScene(mount: Mount, units: 'imperial' | 'metric'): Scene {
  const { plate, depth } = mount;
  const half = (plate?.width ?? PLATE_MM) / 2;
  const arm = armOf(mount, 0, 'left');
  const folded = arm ? arm.folded : { x: 0, z: depth.folded };
  const wide = mount.pattern.max.width / 2;
  const back = (at: { x: number; z: number }, yaw: number): Point[] => setBack(at, arm?.head ?? 0, wide, toRad(yaw));
  const out = arm && { x: arm.root.x, z: arm.extended };
  const turned = mount.swivel?.right ?? 0;
  const away: Shape[] =
    arm && out
      ? [
          ...(turned > 0 ? [poly('set-tilted', 'set-turned', back(out, turned))] : []),
          poly('set-tilted', 'set-out', back(out, 0)),
          ...linkage(arm, out, 'out'),
          ...linkage(arm, folded, 'folded'),
        ]
      : [];
  const links = arm && out ? [...linkagePlaces(arm, folded), ...linkagePlaces(arm, out)].map(flat) : [];
  const drawn = [...back(folded, 0), ...links, ...(out ? [...back(out, 0), ...back(out, turned)] : [])];
  const box: Box = {
    left: Math.min(-half, ...drawn.map(([x]) => x)),
    right: Math.max(half, ...drawn.map(([x]) => x)),
    bottom: Math.min(...drawn.map(([, y]) => y)),
    top: WALL_MM,
  };
  const shapes: Shape[] = [
    { kind: 'rect', role: 'cut', id: 'wall', left: box.left - 20, right: box.right + 20, bottom: 0, top: WALL_MM },
    { kind: 'rect', role: 'plate', id: 'plate', left: -half, right: half, bottom: -(plate?.thickness ?? 4), top: 0 },
    ...away,
    poly('set-cut', 'set', back(folded, 0)),
  ];
  const show = (mm: number) => formatTape(mm, tapeOf(units)).replace(/ in$/, '');
  const label = (id: string, text: string, [x, y]: Point): Label => ({ id, text, x, y, side: 'right' });
  const labels: Label[] = out
    ? [
        label('out', `${show(out.z + (arm?.head ?? 0))} out`, [out.x, -out.z - (arm?.head ?? 0) - SET_MM]),
        ...(turned > 0 ? [label('turned', `${turned}° each way`, back(out, turned)[0]!)] : []),
      ]
    : [label('folded', `${show(depth.folded)} off the wall`, [0, -depth.folded - SET_MM])];
  const bounds = grow(box, 40);
  return { bounds, focus: bounds, shapes, labels };
}

const poly = (role: Shape['role'], id: string, points: Point[]): Shape => ({
  kind: 'poly',
  role,
  id,
  closed: true,
  points,
});

function linkage(arm: Arm, pivot: { x: number; z: number }, id: string): Shape[] {
  const places = linkagePlaces(arm, pivot);
  return [
    { kind: 'poly', role: 'link', id: `link-${id}`, closed: false, points: places.map(flat) },
    ...places.map((p, i): Shape => ({
      kind: 'circle',
      role: 'joint',
      id: `joint-${id}-${i}`,
      x: p.x,
      y: -p.z,
      r: JOINT_MM,
    })),
  ];
}

/** The set's back, `head` in front of the pivot and turned about it, as a bar. */
function setBack(pivot: { x: number; z: number }, head: number, half: number, yaw: number): Point[] {
  const [sin, cos] = [Math.sin(yaw), Math.cos(yaw)];
  const at = (across: number, out: number): Point =>
    flat({ x: pivot.x + out * sin + across * cos, z: pivot.z + out * cos - across * sin });
  return [at(-half, head), at(half, head), at(half, head + SET_MM), at(-half, head + SET_MM)];
}
