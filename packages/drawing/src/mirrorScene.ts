import type { Box, Label, Scene, Shape } from './scene';

type Across = (x: number) => number;

/** A scene seen from the other side: what was so far right of its left end is so far left of its right end. */
export const mirrorScene = (scene: Scene, width: number): Scene => moved(scene, (x) => width - x);

/** A scene so far to the right. */
export const shiftScene = (scene: Scene, by: number): Scene => moved(scene, (x) => x + by);

function moved({ bounds, focus, shapes, labels }: Scene, to: Across): Scene {
  return {
    bounds: boxTo(bounds, to),
    focus: boxTo(focus, to),
    shapes: shapes.map((s) => shapeTo(s, to)),
    labels: labels.map((l) => labelTo(l, to)),
  };
}

function boxTo<B extends Box>(box: B, to: Across): B {
  const [a, b] = [to(box.left), to(box.right)];
  return { ...box, left: Math.min(a, b), right: Math.max(a, b) };
}

function shapeTo(shape: Shape, to: Across): Shape {
  switch (shape.kind) {
    case 'rect':
      return boxTo(shape, to);
    case 'line': {
      const { x1, y1, x2, y2 } = shape;
      // a floor is hatched from its left end on: the ends of what is turned round change places
      return to(1) < to(0)
        ? { ...shape, x1: to(x2), y1: y2, x2: to(x1), y2: y1 }
        : { ...shape, x1: to(x1), x2: to(x2) };
    }
    case 'poly':
      return { ...shape, points: shape.points.map(([x, y]) => [to(x), y] as const) };
    case 'area':
      return { ...shape, polygons: shape.polygons.map((p) => p.map(([x, y]) => [to(x), y] as const)) };
    default:
      return { ...shape, x: to(shape.x) };
  }
}

const OTHER = { left: 'right', right: 'left', above: 'above', below: 'below' } as const;

function labelTo(label: Label, to: Across): Label {
  const turned = to(1) < to(0);
  return { ...label, x: to(label.x), side: turned ? OTHER[label.side] : label.side };
}
