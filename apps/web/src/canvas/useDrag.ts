import { useRef, type DragEvent, type PointerEvent } from 'react';
import { useHold } from './hold';

/** Movement from where the pointer went down, px; `done` with the last one, or nothing when it was no drag. */
export interface DragHandlers {
  onMove: (dx: number, dy: number) => void;
  onDone: (dx: number, dy: number) => void;
  onCancel: () => void;
  onTap?: () => void;
  /** The pointer has gone down. */
  onDown?: () => void;
}

/** Less than this is a tap, px. */
const SLOP_PX = 3;

/** Dragging on pointer events with capture; the element's parent has `touch-action: none`. */
export function useDrag({ onMove, onDone, onCancel, onTap, onDown }: DragHandlers, enabled: boolean) {
  const start = useRef<{ x: number; y: number; id: number; moved: boolean } | undefined>(undefined);
  const hold = useHold();
  const delta = (e: PointerEvent) => ({
    dx: e.clientX - (start.current?.x ?? 0),
    dy: e.clientY - (start.current?.y ?? 0),
  });
  if (!enabled) return {};
  return {
    // the browser's own dragging of selected words would end ours
    onDragStart: (e: DragEvent) => e.preventDefault(),
    onPointerDown: (e: PointerEvent) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      start.current = { x: e.clientX, y: e.clientY, id: e.pointerId, moved: false };
      hold.take();
      onDown?.();
    },
    onPointerMove: (e: PointerEvent) => {
      if (start.current?.id !== e.pointerId) return;
      const { dx, dy } = delta(e);
      if (Math.hypot(dx, dy) > SLOP_PX) start.current.moved = true;
      if (start.current.moved) onMove(dx, dy);
    },
    onPointerUp: (e: PointerEvent) => {
      if (start.current?.id !== e.pointerId) return;
      const { dx, dy } = delta(e);
      const { moved } = start.current;
      start.current = undefined;
      hold.letGo();
      if (moved) onDone(dx, dy);
      else onTap?.();
    },
    onPointerCancel: () => {
      start.current = undefined;
      hold.letGo();
      onCancel();
    },
  };
}
