import { useRef, useState, type KeyboardEvent } from 'react';
import type { Job } from '@steddo/contract';
import {
  SNAP_MM,
  moveBox,
  snapBox,
  type Command,
  type SnapBox,
  type SnapGuide,
} from '@steddo/core';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../features/room/RoomContext';
import { usePalette } from '../ui/tokens';
import { useCanvas } from './CanvasContext';
import { useDrag } from './useDrag';

/** What can be moved on the wall: a thing, or a part of it that differs. */
interface Movable {
  id: string;
  path: string;
  name: string;
  box: SnapBox;
}

function movablesOf(job: Job): Movable[] {
  const items = (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main');
  return [
    ...(job.room.wall.zones ?? []).map((z) => ({
      id: z.id,
      path: `room.wall.zones.${z.id}`,
      name: 'a part that differs',
      box: z,
    })),
    ...items.map((o) => ({
      id: o.id,
      path: `room.objects.${o.id}`,
      name: o.name ?? o.kind,
      box: o,
    })),
  ];
}

/** Everything on the wall under a thumb: dragged with snapping, moved by arrow keys, opened by a tap. */
export function ItemHandles({ view }: { view: SceneView }) {
  const { job } = useRoomContext();
  const [guides, setGuides] = useState<SnapGuide[]>([]);
  return (
    <>
      <Guides guides={guides} view={view} />
      {movablesOf(job).map((item) => (
        <ItemHandle key={item.path} item={item} view={view} setGuides={setGuides} />
      ))}
    </>
  );
}

/** Snapping is felt within so many pixels, whatever the scale. */
const SNAP_PX = 12;
const GRIP_PX = 48;

function ItemHandle({
  item,
  view,
  setGuides,
}: {
  item: Movable;
  view: SceneView;
  setGuides: (guides: SnapGuide[]) => void;
}) {
  const { job, plan, tape, dispatch, preview, say } = useRoomContext();
  const palette = usePalette();
  const { held, setHeld } = useCanvas();
  const start = useRef<SnapBox | undefined>(undefined);
  const others = (): SnapBox[] => [
    ...movablesOf(job)
      .filter((o) => o.path !== item.path)
      .map((o) => o.box),
    { left: 0, right: job.room.wall.width, bottom: 0, top: job.room.wall.height },
    ...(plan.placement ? [plan.placement] : []),
  ];
  const at = (dx: number, dy: number): Command => {
    start.current ??= item.box;
    const { left, right, bottom, top } = start.current;
    const moved = { left: left + dx, right: right + dx, bottom: bottom + dy, top: top + dy };
    const reach = Math.min(SNAP_MM * 4, SNAP_PX / view.scale);
    const { box, guides } = snapBox(moved, others(), reach, tape);
    setGuides(guides);
    return moveBox(job, item.path, box);
  };
  const end = (command?: Command) => {
    start.current = undefined;
    setGuides([]);
    if (command) dispatch(command);
    preview(undefined);
  };
  const drag = useDrag(
    {
      onMove: (dx, dy) => preview(at(dx / view.scale, -dy / view.scale)),
      onDone: (dx, dy) => end(at(dx / view.scale, -dy / view.scale)),
      onCancel: () => end(),
      onTap: () => setHeld(item.id),
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = (e.shiftKey ? 10 : 1) * tape.divisionMm;
    const by = { ArrowUp: [0, step], ArrowDown: [0, -step], ArrowLeft: [-step, 0], ArrowRight: [step, 0] }[e.key]; // prettier-ignore
    if (e.key === 'Enter') setHeld(item.id);
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    const [dx = 0, dy = 0] = by;
    const { left, right, bottom, top } = item.box;
    dispatch(moveBox(job, item.path, { left: left + dx, right: right + dx, bottom: bottom + dy, top: top + dy })); // prettier-ignore
  };
  const a = view.toPx(item.box.left, item.box.top);
  const b = view.toPx(item.box.right, item.box.bottom);
  const [w, h] = [Math.max(b.x - a.x, GRIP_PX), Math.max(b.y - a.y, GRIP_PX)];
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${item.name} on the wall; arrow keys move it`}
      aria-valuenow={Math.round(item.box.left)}
      aria-valuemin={0}
      aria-valuemax={Math.round(job.room.wall.width)}
      aria-valuetext={`left edge ${say.length(item.box.left)}, bottom ${say.length(item.box.bottom)}`}
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
          g.axis === 'x'
            ? { left: x, top: 0, bottom: 0, width: 1.5 }
            : { top: y, left: 0, right: 0, height: 1.5 };
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
