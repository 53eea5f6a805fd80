import { useState } from 'react';
import { onDivision, type SnapBox } from '@steddo/core';
import type { View as SceneView } from '@steddo/drawing';
import { useRoomContext } from '../state/roomState';
import { useCanvas } from '../state/canvasState';
import { usePalette } from '../ui/tokens';
import { tracedAs } from './traced';
import { useDrag } from './useDrag';

/** Smaller than this nothing was meant, px. */
const LEAST_PX = 12;

/** A part of the wall traced with a thumb from corner to corner; it lies over the drawing until it is done or let go. */
export function TraceLayer({ view }: { view: SceneView }) {
  const { job, tape, dispatch } = useRoomContext();
  const { trace, setTrace, setHeld } = useCanvas();
  const palette = usePalette();
  const [from, setFrom] = useState<{ x: number; y: number }>();
  const [by, setBy] = useState<{ x: number; y: number }>();
  const boxOf = (dx: number, dy: number): SnapBox => {
    const [x, y] = [from?.x ?? 0, from?.y ?? 0];
    const a = view.toMm(Math.min(x, x + dx), Math.max(y, y + dy));
    const b = view.toMm(Math.max(x, x + dx), Math.min(y, y + dy));
    const { width, height } = job.room.wall;
    const within = (mm: number, most: number) => onDivision(Math.min(most, Math.max(0, mm)), tape);
    return {
      left: within(a.x, width),
      right: within(b.x, width),
      bottom: within(a.y, height),
      top: within(b.y, height),
    };
  };
  const end = () => {
    setFrom(undefined);
    setBy(undefined);
  };
  const drag = useDrag(
    {
      onMove: (x, y) => setBy({ x, y }),
      onDone: (dx, dy) => {
        const box = boxOf(dx, dy);
        end();
        if (Math.abs(dx) < LEAST_PX || Math.abs(dy) < LEAST_PX || box.right <= box.left || box.top <= box.bottom)
          return;
        const { command, id } = tracedAs(trace ?? 'zone', job, box);
        dispatch(command);
        setTrace(undefined);
        if (id) setHeld(id);
      },
      onCancel: end,
    },
    true,
  );
  return (
    <div
      data-testid="trace"
      role="application"
      aria-label="drag over the wall from corner to corner"
      {...drag}
      onPointerDownCapture={(e) => {
        const at = e.currentTarget.getBoundingClientRect();
        setFrom({ x: e.clientX - at.left, y: e.clientY - at.top });
      }}
      style={{ position: 'absolute', inset: 0, cursor: 'crosshair', touchAction: 'none' }}
    >
      {from && by ? (
        <div
          data-testid="traced"
          style={{
            position: 'absolute',
            left: Math.min(from.x, from.x + by.x),
            top: Math.min(from.y, from.y + by.y),
            width: Math.abs(by.x),
            height: Math.abs(by.y),
            boxSizing: 'border-box',
            border: `2px dashed ${palette.action}`,
          }}
        />
      ) : null}
    </div>
  );
}
