import { useRef, type KeyboardEvent } from 'react';
import type { PicturePlace } from '@steddo/core/photo';
import { useDrag } from '../../canvas/useDrag';
import { target, usePalette } from '../../ui/tokens';

export interface CornerProps {
  name: string;
  tap: PicturePlace;
  /** Of the picture as it is shown. */
  scale: number;
  /** How large it can be taken hold of, px. */
  reach: number;
  /** It has been laid before: a finger moves it by a part of its own way. */
  fine: boolean;
  testID: string;
  onMove: (to: PicturePlace, how: 'moving' | 'dragged' | 'keyed') => void;
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const FAST = 10;
const CROSS_PX = 13;
/** What was laid before goes a part of a finger's way while that is short, to be laid finely; a longer way it goes along. */
const FINE = 0.25;
const SHORT_PX = 24;

function geared(dx: number, dy: number): number {
  const way = Math.hypot(dx, dy);
  return way <= SHORT_PX ? FINE : 1 - (SHORT_PX * (1 - FINE)) / way;
}

/** A corner to be laid onto the picture: dragged by a finger, or by the arrow keys a pixel at a time. */
export function CornerTap({ name, tap, scale, reach, fine, testID, onMove }: CornerProps) {
  const palette = usePalette();
  // as it was when it was taken: laid by this very drag it does not begin to lag
  const from = useRef({ ...tap, fine });
  const to = (dx: number, dy: number): PicturePlace => {
    const gear = (from.current.fine ? geared(dx, dy) : 1) / scale;
    return { u: from.current.u + dx * gear, v: from.current.v + dy * gear };
  };
  const drag = useDrag(
    {
      onDown: () => {
        from.current = { ...tap, fine };
        onMove(tap, 'moving');
      },
      onMove: (dx, dy) => onMove(to(dx, dy), 'moving'),
      onDone: (dx, dy) => onMove(to(dx, dy), 'dragged'),
      onTap: () => onMove(tap, 'dragged'),
      onCancel: () => onMove({ u: from.current.u, v: from.current.v }, 'keyed'),
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = STEPS[e.key];
    if (!step) return;
    e.preventDefault();
    const by = e.shiftKey ? FAST : 1;
    onMove({ u: tap.u + by * step[0], v: tap.v + by * step[1] }, 'keyed');
  };
  return (
    <div
      {...drag}
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Math.round(tap.u)}
      aria-valuetext={`${Math.round(tap.u)} across, ${Math.round(tap.v)} down`}
      data-testid={testID}
      onKeyDown={onKeyDown}
      style={{
        position: 'absolute',
        left: tap.u * scale - reach / 2,
        top: tap.v * scale - reach / 2,
        width: reach,
        height: reach,
        cursor: 'grab',
        touchAction: 'none',
      }}
    >
      <svg
        width={target}
        height={target}
        aria-hidden="true"
        style={{ position: 'absolute', left: (reach - target) / 2, top: (reach - target) / 2, pointerEvents: 'none' }}
      >
        {[4, 1.5].map((width) => (
          <path
            key={width}
            d={`M${target / 2 - CROSS_PX} ${target / 2}h${2 * CROSS_PX}M${target / 2} ${target / 2 - CROSS_PX}v${2 * CROSS_PX}`}
            stroke={width > 2 ? palette.onAction : palette.action}
            strokeWidth={width}
          />
        ))}
      </svg>
    </div>
  );
}
