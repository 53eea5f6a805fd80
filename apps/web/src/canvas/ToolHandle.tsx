import { useRef, type KeyboardEvent } from 'react';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { putDown, slid, type Tool } from '../state/tools';
import { toolName } from '@steddo/text';
import { useHeld } from '../state/wallState';
import { font, usePalette } from '../ui/tokens';
import { useDrag } from './useDrag';

const WIDE_PX = 56;
const HIGH_PX = 76;

/** The instrument on the wall, slid by thumb or arrow keys; its lamp lights as the real one's would. */
export function ToolHandle({ view, tool }: { view: SceneView; tool: Tool }) {
  const { job, say } = useRoomContext();
  const { setTool } = useHeld();
  const palette = usePalette();
  const start = useRef<Tool>(tool);
  const { width, height } = job.room.wall;
  const within = (x: number, y: number) => ({
    x: Math.min(width, Math.max(0, x)),
    y: Math.min(height, Math.max(0, y)),
  });
  const now = useRef(tool);
  now.current = tool;
  const moveTo = (from: Tool, x: number, y: number) => {
    const at = within(x, y);
    const next = slid(from, at.x, at.y);
    now.current = next;
    setTool(next);
  };
  const drag = useDrag(
    {
      onDown: () => {
        start.current = putDown(now.current);
        setTool(start.current);
        now.current = start.current;
      },
      onMove: (dx, dy) => {
        // sliding sideways keeps the height, so that a pass is one line
        const level = Math.abs(dy) < Math.abs(dx) || now.current.y === start.current.y ? Math.abs(dy) < 24 : false;
        const y = start.current.y - (level ? 0 : dy / view.scale);
        moveTo(now.current, start.current.x + (view.across * dx) / view.scale, y);
      },
      onDone: () => undefined,
      onCancel: () => undefined,
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[e.key];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    moveTo(tool.pass ? tool : putDown(tool), tool.x + view.across * by[0]!, tool.y + by[1]!);
  };
  const { x, y } = view.toPx(tool.x, tool.y);
  const shown = tool.lit ? 'lit' : 'dark';
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${toolName[tool.kind]}; left and right slide it, up and down lift it`}
      aria-valuemin={0}
      aria-valuemax={Math.round(width)}
      aria-valuenow={Math.round(tool.x)}
      aria-valuetext={`${shown}, ${say.length(tool.x)} from the left, ${say.length(tool.y)} up`}
      data-testid="tool"
      data-lit={tool.lit}
      data-x={tool.x}
      data-y={tool.y}
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: x - WIDE_PX / 2,
        top: y - 12,
        width: WIDE_PX,
        height: HIGH_PX,
        cursor: 'grab',
        touchAction: 'none',
        userSelect: 'none',
      }}
    >
      <svg width={WIDE_PX} height={HIGH_PX} aria-hidden="true" style={{ pointerEvents: 'none', display: 'block' }}>
        <path d={`M${WIDE_PX / 2} 0v12`} stroke={palette.action} strokeWidth={2} />
        <circle cx={WIDE_PX / 2} cy={12} r={3.5} fill={palette.sheet} stroke={palette.action} strokeWidth={2} />
        <rect
          x={6}
          y={20}
          width={WIDE_PX - 12}
          height={HIGH_PX - 22}
          rx={9}
          fill={palette.raised}
          stroke={palette.ink}
          strokeWidth={2}
        />
        <circle
          cx={WIDE_PX / 2}
          cy={36}
          r={8}
          fill={tool.lit ? palette.action : palette.sheet}
          stroke={palette.ink}
          strokeWidth={1.6}
        />
        {tool.lit ? <path d={lampRays(WIDE_PX / 2, 36)} stroke={palette.action} strokeWidth={2} /> : null}
        <text x={WIDE_PX / 2} y={62} textAnchor="middle" fontSize={12} fill={palette.ink} style={font.bold}>
          {toolName[tool.kind]}
        </text>
      </svg>
    </div>
  );
}

/** Short strokes around a lamp that is lit, so that it is not only a colour. */
const lampRays = (x: number, y: number): string =>
  [0, 1, 2, 3, 4, 5, 6, 7]
    .map((i) => {
      const [c, s] = [Math.cos((i * Math.PI) / 4), Math.sin((i * Math.PI) / 4)];
      return `M${x + 10.5 * c} ${y + 10.5 * s}L${x + 14 * c} ${y + 14 * s}`;
    })
    .join('');
