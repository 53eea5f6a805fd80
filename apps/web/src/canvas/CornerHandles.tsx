import { useRef } from 'react';
import { onDivision, type Command, type SnapBox } from '@steddo/core';
import type { View as SceneView } from '@steddo/drawing';
import type { Zone } from '@steddo/contract';
import { useRoomContext } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { useDrag } from './useDrag';

const GRIP_PX = 48;
const KNOB_PX = 12;

const CORNERS = [
  { across: 'left', up: 'top' },
  { across: 'right', up: 'top' },
  { across: 'left', up: 'bottom' },
  { across: 'right', up: 'bottom' },
] as const;
type Corner = (typeof CORNERS)[number];

/** The corners of the part of the wall whose numbers are open: taken one by one; its fields take the same by keys. */
export function CornerHandles({ zone, view }: { zone: Zone; view: SceneView }) {
  return CORNERS.map((corner) => <CornerHandle key={`${corner.across}-${corner.up}`} {...{ zone, view, corner }} />);
}

function CornerHandle({ zone, view, corner }: { zone: Zone; view: SceneView; corner: Corner }) {
  const { tape, dispatch, preview } = useRoomContext();
  const palette = usePalette();
  const { across, up } = corner;
  /** As it was taken: while it is moved the part is already shown where it would be. */
  const start = useRef<Zone>(undefined);
  const moved = (dx: number, dy: number): Command => {
    const from = (start.current ??= zone);
    const box: SnapBox = { ...from };
    const x = onDivision(from[across] + (view.across * dx) / view.scale, tape);
    const y = onDivision(from[up] - dy / view.scale, tape);
    // no corner goes past the one across from it
    box[across] =
      across === 'left' ? Math.min(x, from.right - tape.divisionMm) : Math.max(x, from.left + tape.divisionMm);
    box[up] = up === 'bottom' ? Math.min(y, from.top - tape.divisionMm) : Math.max(y, from.bottom + tape.divisionMm);
    const path = `room.wall.zones.${zone.id}` as const;
    return {
      do: 'all',
      commands: [
        { do: 'put', path: `${path}.${across}`, value: box[across] },
        { do: 'put', path: `${path}.${up}`, value: box[up] },
      ],
    };
  };
  const drag = useDrag(
    {
      onMove: (dx, dy) => preview(moved(dx, dy), 'paced'),
      onDone: (dx, dy) => {
        dispatch(moved(dx, dy));
        start.current = undefined;
        preview(undefined);
      },
      onCancel: () => {
        start.current = undefined;
        preview(undefined);
      },
    },
    true,
  );
  const at = view.toPx(zone[across], zone[up]);
  return (
    <div
      data-testid={`corner-${across}-${up}`}
      aria-hidden="true"
      {...drag}
      style={{
        position: 'absolute',
        left: at.x - GRIP_PX / 2,
        top: at.y - GRIP_PX / 2,
        width: GRIP_PX,
        height: GRIP_PX,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        cursor: 'move',
        touchAction: 'none',
      }}
    >
      <div
        style={{
          width: KNOB_PX,
          height: KNOB_PX,
          backgroundColor: palette.sheet,
          border: `2px solid ${palette.action}`,
        }}
      />
    </div>
  );
}
