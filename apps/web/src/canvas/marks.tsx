import type { PlacedLabel, Shape } from '@steddo/drawing';
import type { Palette } from '../ui/tokens';

const OUTLINES = {
  go: (x: number, y: number) => `M${x - 6} ${y}a6 6 0 1 0 12 0a6 6 0 1 0 -12 0`,
  caution: (x: number, y: number) => `M${x} ${y - 8}l8 8l-8 8l-8 -8z`,
  stop: (x: number, y: number) => `M${x - 6} ${y - 6}h12v12h-12zM${x - 6} ${y - 6}l12 12M${x + 6} ${y - 6}l-12 12`,
} as const;

/** A hole by how sure it is: a ring go, a diamond mind, a crossed-out square stop; its place is the small cross. */
export function HoleView({
  shape,
  x,
  y,
  palette,
}: {
  shape: Extract<Shape, { kind: 'cross' }>;
  x: number;
  y: number;
  palette: Palette;
}) {
  const ink = palette[shape.state];
  return (
    <g data-shape={shape.id} data-x={shape.x} data-y={shape.y} data-state={shape.state} stroke={ink} strokeWidth={2}>
      <path d={OUTLINES[shape.state](x, y)} fill={palette.sheet} fillOpacity={0.7} />
      <path d={`M${x - 11} ${y}h22M${x} ${y - 11}v22`} strokeWidth={1.6} />
      <circle cx={x} cy={y} r={1.6} fill={ink} stroke="none" />
    </g>
  );
}

/** A strip of painter's tape, seen from straight ahead. */
export function Tape({
  line,
  edge,
  fill,
}: {
  line: { x1: number; y1: number; x2: number; y2: number; 'data-shape': string };
  edge: string;
  fill: string;
}) {
  return (
    <g>
      <line {...line} stroke={edge} strokeWidth={5.5} />
      <line {...line} data-shape={undefined} stroke={fill} strokeWidth={3} />
    </g>
  );
}

/** From a word that had to move away to what it speaks of. */
export function Leader({ leader, palette }: { leader: NonNullable<PlacedLabel['leader']>; palette: Palette }) {
  const { from, to } = leader;
  return <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={palette.soft} strokeWidth={1} />;
}
