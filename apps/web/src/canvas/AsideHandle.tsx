import type { KeyboardEvent } from 'react';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { useDrag } from './useDrag';
import { useMoveSet } from './useMoveSet';

const GRIP_PX = 48;

/** The set seen from above, moved along the wall only. */
export function AsideHandle({ view }: { view: SceneView }) {
  const { job, plan, say } = useRoomContext();
  const move = useMoveSet();
  const p = plan.placement;
  const drag = useDrag(
    {
      onMove: (dx) => move.drag(dx / view.scale, 0),
      onDone: (dx) => move.drop(dx / view.scale, 0),
      onCancel: move.cancel,
    },
    true,
  );
  if (!p) return null;
  const a = view.toPx(p.left, 0);
  const b = view.toPx(p.right, 0);
  const onKeyDown = (e: KeyboardEvent) => {
    const way = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    move.nudge(way * (e.shiftKey ? 10 : 1), 0);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="the set's place along the wall, from above"
      aria-valuemin={0}
      aria-valuemax={Math.round(job.room.wall.width)}
      aria-valuenow={Math.round(p.centre.x)}
      aria-valuetext={`centre ${say.length(p.centre.x)} from the left`}
      data-testid="above-handle"
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: (a.x + b.x) / 2 - Math.max(b.x - a.x, GRIP_PX) / 2,
        top: a.y - GRIP_PX / 4,
        width: Math.max(b.x - a.x, GRIP_PX),
        height: GRIP_PX,
        cursor: 'grab',
        touchAction: 'none',
      }}
    />
  );
}
