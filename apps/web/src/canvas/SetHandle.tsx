import type { KeyboardEvent } from 'react';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { useDrag } from './useDrag';
import { useMoveSet } from './useMoveSet';

/** The set as a slider for thumb and keyboard, at least 48 px each way, over its drawing. */
export function SetHandle({ view }: { view: SceneView }) {
  const { plan, say } = useRoomContext();
  const palette = usePalette();
  const move = useMoveSet();
  const p = plan.placement!;
  const a = view.toPx(p.left, p.top);
  const b = view.toPx(p.right, p.bottom);
  const drag = useDrag(
    {
      onMove: (dx, dy) => move.drag(dx / view.scale, -dy / view.scale),
      onDone: (dx, dy) => move.drop(dx / view.scale, -dy / view.scale),
      onCancel: move.cancel,
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1;
    const by = {
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
    }[e.key];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    move.nudge(by[0]!, by[1]!);
  };
  const range = p.feasible;
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="height of the set's centre; up and down move it, left and right move it sideways"
      aria-orientation="vertical"
      aria-valuemin={Math.round(range[0]?.[0] ?? p.centre.y)}
      aria-valuemax={Math.round(range.at(-1)?.[1] ?? p.centre.y)}
      aria-valuenow={Math.round(p.centre.y)}
      aria-valuetext={`centre ${say.length(p.centre.y)} from the floor, ${say.length(p.centre.x)} from the left`}
      data-testid="set-handle"
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: (a.x + b.x) / 2 - Math.max(b.x - a.x, 48) / 2,
        top: (a.y + b.y) / 2 - Math.max(b.y - a.y, 48) / 2,
        width: Math.max(b.x - a.x, 48),
        height: Math.max(b.y - a.y, 48),
        cursor: 'grab',
        touchAction: 'none',
      }}
    >
      <svg
        width={20}
        height={36}
        style={{
          position: 'absolute',
          left: '50%',
          top: '50%',
          transform: 'translate(-50%, -50%)',
          pointerEvents: 'none',
        }}
        aria-hidden="true"
      >
        <path d="M10 2l-6 8h12zM10 34l-6-8h12z" fill={palette.action} />
      </svg>
    </div>
  );
}
