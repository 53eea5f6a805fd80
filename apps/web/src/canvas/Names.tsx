import { overlap, type PlacedLabel, type Shape, type View } from '@steddo/drawing';
import { font, usePalette } from '../ui/tokens';

const CHAR_PX = 6.6;
const LINE_PX = 16;

/** What things are called, small, where there is room for it and no tape hangs. */
export function Names({
  shapes,
  view,
  width,
  taken,
}: {
  shapes: Shape[];
  view: View;
  width: number;
  taken: PlacedLabel[];
}) {
  const palette = usePalette();
  const put: PxBox[] = [];
  const named = shapes.flatMap((s) => {
    if (isNameless(s) || !s.name) return [];
    const { name } = s;
    const long = name.length * CHAR_PX;
    const boxes = placesFor(s, view, width, long).map((p) => ({ ...p, width: long, height: LINE_PX }));
    const box = boxes.find((b) => b.x >= 0 && b.x + long <= width && ![...taken, ...put].some((t) => overlap(t, b)));
    if (!box) return [];
    put.push(box);
    return [{ ...box, name, id: s.id, line: s.kind === 'line' }];
  });
  return (
    <>
      {named.map((n) => (
        <text
          key={n.id}
          x={n.x}
          y={n.y + 12}
          fontSize={12}
          style={font.text}
          fill={n.line ? palette.action : palette.soft}
        >
          {n.name}
        </text>
      ))}
    </>
  );
}

interface NamePlace {
  x: number;
  y: number;
}
type PxBox = NamePlace & { width: number; height: number };
type Nameless = Extract<Shape, { kind: 'cross' | 'cross-hair' | 'poly' | 'area' }>;
type Named = Exclude<Shape, Nameless>;

const NAMELESS = new Set<Shape['kind']>(['cross', 'cross-hair', 'poly', 'area']);
const isNameless = (s: Shape): s is Nameless => NAMELESS.has(s.kind);

/** Where a name may stand, the best place first. */
function placesFor(s: Named, view: View, width: number, long: number): NamePlace[] {
  if (s.kind === 'circle') return byHead(view, s, long);
  if (s.kind === 'rect') return inBox(view, s, long);
  const { x, y } = view.toPx(s.x2, s.y2);
  return [{ x: Math.min(width, x) - long - 8, y: y - LINE_PX - 2 }];
}

/** Inside a box at its lower edge, when it is wide and tall enough. */
function inBox(view: View, s: Extract<Shape, { kind: 'rect' }>, long: number): NamePlace[] {
  const a = view.toPx(s.left, s.top);
  const b = view.toPx(s.right, s.bottom);
  if (b.x - a.x < long + 8 || b.y - a.y < LINE_PX * 2) return [];
  return [{ x: a.x + (b.x - a.x - long) / 2, y: b.y - LINE_PX - 10 }];
}

/** Right of somebody's head, over it, left of it. */
function byHead(view: View, s: Extract<Shape, { kind: 'circle' }>, long: number): NamePlace[] {
  const { x, y } = view.toPx(s.x, s.y);
  const r = s.r * view.scale;
  const level = y - LINE_PX / 2;
  return [
    { x: x + r + 6, y: level },
    { x: x - long / 2, y: y - r - LINE_PX - 2 },
    { x: x - r - long - 6, y: level },
  ];
}
