import type { KeyboardEvent } from 'react';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { useDrag } from './useDrag';
import { useMoveSet } from './useMoveSet';

const GRIP_PX = 48;

/** The set seen from the side, moved up and down only. */
export function HeightHandle({ view }: { view: SceneView }) {
  const { plan, say } = useRoomContext();
  const move = useMoveSet();
  const p = plan.placement;
  const drag = useDrag(
    {
      onMove: (_, dy) => move.drag(0, -dy / view.scale),
      onDone: (_, dy) => move.drop(0, -dy / view.scale),
      onCancel: move.cancel,
    },
    true,
  );
  if (!p) return null;
  const a = view.toPx(0, p.top);
  const b = view.toPx(0, p.bottom);
  const onKeyDown = (e: KeyboardEvent) => {
    const way = { ArrowUp: 1, ArrowDown: -1 }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    move.nudge(0, way * (e.shiftKey ? 10 : 1));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="height of the set's centre, from the side"
      aria-orientation="vertical"
      aria-valuemin={Math.round(p.feasible[0]?.[0] ?? p.centre.y)}
      aria-valuemax={Math.round(p.feasible.at(-1)?.[1] ?? p.centre.y)}
      aria-valuenow={Math.round(p.centre.y)}
      aria-valuetext={`centre ${say.length(p.centre.y)} from the floor`}
      data-testid="side-handle"
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: a.x - GRIP_PX / 4,
        top: Math.min(a.y, (a.y + b.y) / 2 - GRIP_PX / 2),
        width: GRIP_PX,
        height: Math.max(b.y - a.y, GRIP_PX),
        cursor: 'grab',
        touchAction: 'none',
      }}
    />
  );
}
