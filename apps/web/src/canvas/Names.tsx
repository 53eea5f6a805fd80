import { edgesOf, namedThings, placeNames, type PlacedLabel, type Shape, type View } from '@steddo/drawing';
import { font, usePalette } from '../ui/tokens';
import { Leader } from './marks';

const NAME = { charPx: 6.6, heightPx: 16 } as const;

/** What things are called, small, where there is room for it: clear of tape, of edges and of each other. */
export function Names({
  shapes,
  around,
  view,
  size,
  taken,
}: {
  shapes: readonly Shape[];
  /** What no name lies across; without what is being moved. */
  around: readonly Shape[];
  view: View;
  size: { width: number; height: number };
  taken: readonly PlacedLabel[];
}) {
  const palette = usePalette();
  const lines = new Set(shapes.flatMap((s) => (s.kind === 'line' ? [s.id] : [])));
  const named = placeNames(namedThings(shapes, view), {
    ...NAME,
    view: size,
    taken: [...taken, { x: size.width - 120, y: 0, width: 120, height: 32 }],
    edges: edgesOf(around, view),
  });
  return (
    <>
      {named.map(({ id, name, x, y, leader }) => (
        <g key={id} data-name={id}>
          {leader ? <Leader leader={leader} palette={palette} /> : null}
          <text x={x} y={y + 12} fontSize={12} style={font.text} fill={lines.has(id) ? palette.action : palette.soft}>
            {name}
          </text>
        </g>
      ))}
    </>
  );
}
