import type { View } from './fitView';
import type { PxBox } from './placeLabels';
import type { NamedThing } from './placeNames';
import type { Role, Shape } from './scene';

/** Half of how thick a line counts as, px. */
const HALF_PX = 1.5;

/** What has a name in a scene, in px. */
export function namedThings(shapes: readonly Shape[], view: View): NamedThing[] {
  return shapes.flatMap((s): NamedThing[] => {
    if (!('name' in s) || !s.name || s.kind === 'poly') return [];
    const { id, name } = s;
    if (s.kind === 'circle') {
      const { x, y } = view.toPx(s.x, s.y);
      const r = s.r * view.scale;
      return [{ id, name, shape: 'head', box: { x: x - r, y: y - r, width: 2 * r, height: 2 * r } }];
    }
    return [{ id, name, shape: s.kind === 'line' ? 'line' : 'area', box: pxBox(s, view) }];
  });
}

/** Faint or filled: a name may lie over them. */
const FAINT = new Set<Role>([
  'wall',
  'stud',
  'stud-doubt',
  'picture',
  'ribbon',
  'ribbon-ground',
  'hazard-zone',
  'zone',
]);

/** The edges of what is drawn, as thin boxes. */
export function edgesOf(shapes: readonly Shape[], view: View): PxBox[] {
  return shapes.flatMap((s): PxBox[] => {
    if (FAINT.has(s.role) || (s.kind !== 'rect' && s.kind !== 'line')) return [];
    const box = pxBox(s, view);
    if (s.kind === 'line') return straight(box) ? [thick(box)] : [];
    const { x, y, width, height } = box;
    return [
      { x, y, width, height: 0 },
      { x, y: y + height, width, height: 0 },
      { x, y, width: 0, height },
      { x: x + width, y, width: 0, height },
    ].map(thick);
  });
}

/** A slanting line's box would cover what is beside it. */
const straight = ({ width, height }: PxBox): boolean => width < 1 || height < 1;

const thick = ({ x, y, width, height }: PxBox): PxBox => ({
  x: x - HALF_PX,
  y: y - HALF_PX,
  width: width + 2 * HALF_PX,
  height: height + 2 * HALF_PX,
});

function pxBox(s: Extract<Shape, { kind: 'rect' | 'line' }>, view: View): PxBox {
  const [x1, y1, x2, y2] = s.kind === 'rect' ? [s.left, s.top, s.right, s.bottom] : [s.x1, s.y1, s.x2, s.y2];
  const [a, b] = [view.toPx(x1, y1), view.toPx(x2, y2)];
  return {
    x: Math.min(a.x, b.x),
    y: Math.min(a.y, b.y),
    width: Math.abs(b.x - a.x),
    height: Math.abs(b.y - a.y),
  };
}
