import { memo, useMemo } from 'react';
import type { Shape, View } from '@steddo/drawing';
import type { Palette } from '../ui/tokens';
import { HoleView, Tape } from './marks';
import { sameContent } from '../ui/useSame';
import { DASH, strokeOf } from './strokes';

/** Corners of strokeOf lines run a little past each other, px. */
const OVERRUN = 5;
const DASH_DOT = '10 3 2 3';

/** Shapes of a scene as svg; every box carries the millimetres that it was drawn from. */
export const Shapes = memo(function Shapes({
  shapes,
  view,
  palette,
}: {
  shapes: Shape[];
  view: View;
  palette: Palette;
}) {
  return (
    <>
      {shapes.map((s) => (
        <ShapeView key={`${s.role}-${s.id}`} shape={s} view={view} palette={palette} />
      ))}
    </>
  );
});

interface Px {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Drawn anew only when what it shows is another. */
const ShapeView = memo(Drawn, (a, b) => a.view === b.view && a.palette === b.palette && sameContent(a.shape, b.shape));

function Drawn({ shape, view, palette }: { shape: Shape; view: View; palette: Palette }) {
  if (shape.kind === 'rect') {
    const a = view.toPx(shape.left, shape.top);
    const b = view.toPx(shape.right, shape.bottom);
    return <RectView shape={shape} px={{ x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }} palette={palette} />;
  }
  if (shape.kind === 'line') {
    const a = view.toPx(shape.x1, shape.y1);
    const b = view.toPx(shape.x2, shape.y2);
    return <LineView shape={shape} x1={a.x} y1={a.y} x2={b.x} y2={b.y} palette={palette} />;
  }
  if (shape.kind === 'poly') return <PolyView shape={shape} view={view} palette={palette} />;
  if (shape.kind === 'area') return <AreaView shape={shape} view={view} palette={palette} />;
  const { x, y } = view.toPx(shape.x, shape.y);
  if (shape.kind === 'circle')
    return (
      <circle
        cx={x}
        cy={y}
        r={Math.max(1.5, shape.r * view.scale)}
        data-shape={shape.id}
        {...strokeOf(shape.role, palette)}
      />
    );
  if (shape.kind === 'cross-hair')
    return (
      <g data-shape={shape.id} data-x={shape.x} data-y={shape.y} stroke={palette.action} fill="none" strokeWidth={2.6}>
        <circle cx={x} cy={y} r={9} />
        <path d={`M${x - 16} ${y}h9M${x + 7} ${y}h9M${x} ${y - 16}v9M${x} ${y + 7}v9`} />
      </g>
    );
  return <HoleView shape={shape} x={x} y={y} palette={palette} />;
}

function RectView({ shape, px, palette }: { shape: Extract<Shape, { kind: 'rect' }>; px: Px; palette: Palette }) {
  const { x, y, w, h } = px;
  const box = { x, y, width: w, height: h };
  const tag = {
    'data-shape': shape.id,
    'data-left': shape.left,
    'data-right': shape.right,
    'data-bottom': shape.bottom,
    'data-top': shape.top,
  };
  switch (shape.role) {
    case 'wall':
      return <rect {...box} {...tag} fill="none" stroke={palette.hairline} />;
    case 'stud':
      return (
        <rect
          {...box}
          {...tag}
          fill={palette.wood}
          fillOpacity={0.12 + 0.3 * (shape.weight ?? 0)}
          stroke={palette.wood}
          strokeDasharray={DASH}
        />
      );
    case 'object':
      return (
        <g>
          <rect {...box} {...tag} fill={palette.raised} />
          <path d={overrun(px)} stroke={palette.ink} strokeWidth={1.3} fill="none" />
        </g>
      );
    case 'cover':
      return <rect {...box} {...tag} fill="none" stroke={palette.soft} strokeWidth={1.2} strokeDasharray={DASH} />;
    case 'set':
      return (
        <g>
          <rect {...box} {...tag} fill={palette.sheet} fillOpacity={0.82} />
          <path d={overrun(px)} stroke={palette.ink} strokeWidth={2.6} fill="none" />
        </g>
      );
    case 'picture':
      return <rect {...box} fill="none" stroke={palette.soft} strokeWidth={0.8} />;
    case 'plate':
      return <rect {...box} {...tag} fill="none" stroke={palette.ink} strokeWidth={1.6} strokeDasharray={DASH} />;
    case 'open':
      return <rect {...box} fill="none" stroke={palette.hairline} />;
    case 'cut':
      return (
        <g>
          <rect {...box} {...tag} fill={palette.raised} stroke={palette.ink} strokeWidth={1} />
          <path d={slant(px)} stroke={palette.soft} strokeWidth={0.8} fill="none" />
        </g>
      );
    case 'thread':
      return (
        <g>
          <rect {...box} {...tag} fill={palette.action} fillOpacity={0.16} />
          <path d={slant(px)} stroke={palette.action} strokeWidth={1} fill="none" />
        </g>
      );
    case 'slot':
      return <rect {...box} {...tag} rx={h / 2} fill={palette.sheet} stroke={palette.soft} strokeWidth={1} />;
    default:
      return <rect {...box} {...tag} {...strokeOf(shape.role, palette)} />;
  }
}

function PolyView({ shape, view, palette }: { shape: Extract<Shape, { kind: 'poly' }>; view: View; palette: Palette }) {
  const points = shape.points.map(([x, y]) => view.toPx(x, y));
  const d = points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  return (
    <path
      d={shape.closed ? `${d}Z` : d}
      data-shape={shape.id}
      {...strokeOf(shape.role, palette)}
      {...(shape.closed ? {} : { fill: 'none' })}
    />
  );
}

/** Many outlines filled as one; what few see is hatched, not only paler. */
function AreaView({ shape, view, palette }: { shape: Extract<Shape, { kind: 'area' }>; view: View; palette: Palette }) {
  const d = useMemo(
    () =>
      shape.polygons
        .map((polygon) => {
          const points = polygon.map(([x, y]) => view.toPx(x, y));
          return `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
        })
        .join(''),
    [shape, view],
  );
  return (
    <>
      {shape.role === 'map-poor' ? (
        <pattern id="poor" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 7L7 0" stroke={palette.soft} strokeWidth="0.8" strokeOpacity="0.6" />
        </pattern>
      ) : null}
      <path d={d} data-shape={shape.id} {...strokeOf(shape.role, palette)} />
    </>
  );
}

const SLANT_PX = 7;

/** Hatching of a cut, clipped to its box by its own arithmetic. */
function slant({ x, y, w, h }: Px): string {
  const lines: string[] = [];
  for (let at = SLANT_PX; at < w + h; at += SLANT_PX) {
    const x1 = x + Math.min(at, w);
    const y1 = y + Math.max(0, at - w);
    const x2 = x + Math.max(0, at - h);
    const y2 = y + Math.min(at, h);
    lines.push(`M${x1} ${y1}L${x2} ${y2}`);
  }
  return lines.join('');
}

function overrun({ x, y, w, h }: Px): string {
  const o = OVERRUN;
  return `M${x - o} ${y}h${w + 2 * o}M${x - o} ${y + h}h${w + 2 * o}M${x} ${y - o}v${h + 2 * o}M${x + w} ${y - o}v${h + 2 * o}`;
}

interface LinePx {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

function LineView({ shape, palette, ...at }: LinePx & { shape: Extract<Shape, { kind: 'line' }>; palette: Palette }) {
  const line = { ...at, 'data-shape': shape.id };
  switch (shape.role) {
    case 'floor':
      return (
        <g>
          <line {...line} stroke={palette.ink} strokeWidth={2.4} />
          <path d={hatch(at)} stroke={palette.soft} strokeWidth={1} />
        </g>
      );
    case 'stud-mark':
    case 'level-mark':
      return <Tape line={line} edge={palette.tapeEdge} fill={palette.tape} />;
    case 'odd-mark':
      return <Tape line={line} edge={palette.caution} fill={palette.sheet} />;
    case 'live-mark':
      return <Tape line={line} edge={palette.stop} fill={palette.sheet} />;
    case 'joint-line':
      return <line {...line} stroke={palette.hairline} strokeWidth={1.6} />;
    case 'centre-line':
      return <line {...line} stroke={palette.soft} strokeWidth={1} strokeDasharray={DASH_DOT} />;
    case 'eye-line':
      return <line {...line} stroke={palette.action} strokeWidth={1.4} strokeDasharray="2 5" />;
    case 'sight':
      return <line {...line} stroke={palette.action} strokeWidth={1.8} />;
    case 'sight-edge':
      return <line {...line} stroke={palette.action} strokeWidth={1} strokeDasharray={DASH} />;
    case 'swing-limit':
      return <line {...line} stroke={palette.ink} strokeWidth={2} strokeDasharray={DASH} />;
    case 'settled':
      return <line {...line} stroke={palette.tapeEdge} strokeWidth={5} />;
    case 'fire-gap':
      return (
        <g stroke={palette.ink} strokeWidth={1.6}>
          <line {...line} />
          <path d={endTicks(at)} />
        </g>
      );
    case 'asked':
      return (
        <g stroke={palette.action} strokeWidth={3}>
          <line {...line} />
          <path d={endTicks(at)} />
        </g>
      );
    case 'hook':
      return <line {...line} stroke={palette.ink} strokeWidth={1.6} />;
    default:
      return <line {...line} stroke={palette.hairline} strokeWidth={1} />;
  }
}

const TICK_PX = 8;

/** Short ticks across both ends of a measured line. */
function endTicks({ x1, y1, x2, y2 }: LinePx): string {
  const long = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [nx, ny] = [(-(y2 - y1) / long) * TICK_PX, ((x2 - x1) / long) * TICK_PX];
  const tick = (x: number, y: number) => `M${x - nx} ${y - ny}L${x + nx} ${y + ny}`;
  return tick(x1, y1) + tick(x2, y2);
}

const HATCH_PX = 12;

function hatch({ x1, x2, y1 }: LinePx): string {
  const count = Math.max(0, Math.floor((x2 - x1) / HATCH_PX));
  return Array.from({ length: count }, (_, i) => `M${x1 + i * HATCH_PX + 8} ${y1 + 2}l-7 7`).join('');
}
