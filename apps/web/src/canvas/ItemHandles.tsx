import { useRef, useState, type KeyboardEvent } from 'react';
import type { Job } from '@steddo/contract';
import { SNAP_MM, snapBox, type Command, type SnapBox, type SnapGuide } from '@steddo/core';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { useCanvas } from '../state/canvasState';
import type { Movable } from './movables';
import { useDrag } from './useDrag';

/** Everything that can be moved in a drawing under a thumb: dragged with snapping, by arrow keys, opened by a tap. */
export function ItemHandles({
  view,
  movables,
  fixed,
}: {
  view: SceneView;
  movables: readonly Movable[];
  /** What they snap to besides each other. */
  fixed: readonly SnapBox[];
}) {
  const [guides, setGuides] = useState<SnapGuide[]>([]);
  return (
    <>
      <Guides guides={guides} view={view} />
      {movables.map((item) => (
        <ItemHandle
          key={item.path}
          item={item}
          others={[...movables.filter((o) => o !== item).map((o) => o.box), ...fixed]}
          view={view}
          setGuides={setGuides}
        />
      ))}
    </>
  );
}

/** Snapping is felt within so many pixels, whatever the scale. */
const SNAP_PX = 12;
const GRIP_PX = 48;

function ItemHandle({
  item,
  others,
  view,
  setGuides,
}: {
  item: Movable;
  others: readonly SnapBox[];
  view: SceneView;
  setGuides: (guides: SnapGuide[]) => void;
}) {
  const { job, tape, dispatch, preview, say } = useRoomContext();
  const palette = usePalette();
  const { held, setHeld } = useCanvas();
  /**
   * As the drag began: a drawing that grows with what is dragged must not pull it along, and of a job in which it is
   * already moved nobody could tell any more what was guessed before.
   */
  const start = useRef<{ box: SnapBox; scale: number; job: Job } | undefined>(undefined);
  const at = (dxPx: number, dyPx: number): Command => {
    start.current ??= { box: item.box, scale: view.scale, job };
    const { box: from, scale, job: before } = start.current;
    const { left, right, bottom, top } = from;
    const [dx, dy] = [(view.across * dxPx) / scale, -dyPx / scale];
    const moved = { left: left + dx, right: right + dx, bottom: bottom + dy, top: top + dy };
    const reach = Math.min(SNAP_MM * 4, SNAP_PX / scale);
    const { box, guides } = snapBox(moved, others, reach, tape);
    setGuides(guides);
    return item.move(before, box);
  };
  const end = (command?: Command) => {
    start.current = undefined;
    setGuides([]);
    if (command) dispatch(command);
    preview(undefined);
  };
  const drag = useDrag(
    {
      onMove: (dx, dy) => preview(at(dx, dy), 'paced'),
      onDone: (dx, dy) => end(at(dx, dy)),
      onCancel: () => end(),
      onTap: () => setHeld(item.id),
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = (e.shiftKey ? 10 : 1) * tape.divisionMm;
    const by = { ArrowUp: [0, step], ArrowDown: [0, -step], ArrowLeft: [-step, 0], ArrowRight: [step, 0] }[e.key];
    if (e.key === 'Enter') setHeld(item.id);
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    const [dx = 0, dy = 0] = [view.across * (by[0] ?? 0), by[1]];
    const { left, right, bottom, top } = item.box;
    dispatch(item.move(job, { left: left + dx, right: right + dx, bottom: bottom + dy, top: top + dy }));
  };
  const a = view.toPx(item.box.left, item.box.top);
  const b = view.toPx(item.box.right, item.box.bottom);
  const [w, h] = [Math.max(b.x - a.x, GRIP_PX), Math.max(b.y - a.y, GRIP_PX)];
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${item.name}; arrow keys move it`}
      aria-valuenow={Math.round(item.box.left)}
      aria-valuemin={0}
      aria-valuemax={Math.round(job.room.wall.width)}
      aria-valuetext={item.where(say)}
      data-testid={`item-${item.id}`}
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: (a.x + b.x) / 2 - w / 2,
        top: (a.y + b.y) / 2 - h / 2,
        width: w,
        height: h,
        cursor: 'grab',
        touchAction: 'none',
        boxSizing: 'border-box',
        border: held === item.id ? `2px solid ${palette.action}` : 'none',
      }}
    />
  );
}

/** The line that a dragged thing has been pulled to. */
function Guides({ guides, view }: { guides: readonly SnapGuide[]; view: SceneView }) {
  const palette = usePalette();
  return (
    <>
      {guides.map((g) => {
        const { x, y } = view.toPx(g.at, g.at);
        const place =
          g.axis === 'x' ? { left: x, top: 0, bottom: 0, width: 1.5 } : { top: y, left: 0, right: 0, height: 1.5 };
        return (
          <div
            key={g.axis}
            data-testid={`guide-${g.axis}`}
            data-at={g.at}
            style={{
              position: 'absolute',
              ...place,
              backgroundColor: palette.action,
              pointerEvents: 'none',
            }}
          />
        );
      })}
    </>
  );
}
