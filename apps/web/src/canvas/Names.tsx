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
  const named = shapes.flatMap((s) => {
    if (s.kind === 'cross' || s.kind === 'poly' || !s.name) return [];
    const long = s.name.length * CHAR_PX;
    const place =
      s.kind === 'circle'
        ? besideHead(view, s)
        : s.kind === 'line'
          ? {
              x: Math.min(width, view.toPx(s.x2, s.y2).x) - long - 8,
              y: view.toPx(s.x2, s.y2).y - LINE_PX - 2,
            }
          : boxPlace(view, s, long);
    if (!place) return [];
    const box = { ...place, width: long, height: LINE_PX };
    const free = box.x >= 0 && box.x + long <= width && !taken.some((t) => overlap(t, box));
    return free ? [{ ...box, name: s.name, id: s.id, line: s.kind === 'line' }] : [];
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

/** Inside a box at its upper edge, when it is wide and tall enough. */
function boxPlace(view: View, s: Extract<Shape, { kind: 'rect' }>, long: number) {
  const a = view.toPx(s.left, s.top);
  const b = view.toPx(s.right, s.bottom);
  if (b.x - a.x < long + 8 || b.y - a.y < LINE_PX * 2) return undefined;
  return { x: a.x + (b.x - a.x - long) / 2, y: b.y - LINE_PX - 10 };
}

/** Right of somebody's head, level with it. */
function besideHead(view: View, s: Extract<Shape, { kind: 'circle' }>) {
  const { x, y } = view.toPx(s.x + s.r, s.y);
  return { x: x + 6, y: y - LINE_PX / 2 };
}
