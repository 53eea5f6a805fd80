import type { Shape } from '@steddo/drawing';

export type Point = readonly [x: number, y: number];

/** A shape as what every format can draw: lines of points, closed or not, and circles. mm, y up. */
export type Stroke =
  | { kind: 'path'; points: readonly Point[]; closed: boolean }
  | { kind: 'circle'; x: number; y: number; r: number };

/** How long the arms of a hole's cross are, mm, and how wide its circle. Drawn only. */
export const CROSS_MM = 8;
const HOLE_MM = 4;
const HAIR_MM = 30;

/** A rectangle is a closed line, a hole a cross in a circle, an area each of its outlines. */
export function strokesOf(shape: Shape): Stroke[] {
  const path = (points: readonly Point[], closed: boolean): Stroke => ({ kind: 'path', points, closed });
  switch (shape.kind) {
    case 'rect': {
      const { left, right, bottom, top } = shape;
      return [
        path(
          [
            [left, bottom],
            [right, bottom],
            [right, top],
            [left, top],
          ],
          true,
        ),
      ];
    }
    case 'line':
      return [
        path(
          [
            [shape.x1, shape.y1],
            [shape.x2, shape.y2],
          ],
          false,
        ),
      ];
    case 'poly':
      return [path(shape.points, shape.closed)];
    case 'area':
      return shape.polygons.map((p) => path(p, true));
    case 'circle':
      return [{ kind: 'circle', x: shape.x, y: shape.y, r: shape.r }];
    case 'cross':
      return [...crossAt(shape.x, shape.y, CROSS_MM), { kind: 'circle', x: shape.x, y: shape.y, r: HOLE_MM }];
    case 'cross-hair':
      return crossAt(shape.x, shape.y, HAIR_MM);
  }
}

const crossAt = (x: number, y: number, arm: number): Stroke[] => [
  {
    kind: 'path',
    points: [
      [x - arm, y],
      [x + arm, y],
    ],
    closed: false,
  },
  {
    kind: 'path',
    points: [
      [x, y - arm],
      [x, y + arm],
    ],
    closed: false,
  },
];
