import type { PicturePlace } from '@steddo/core/photo';
import { usePalette } from '../../ui/tokens';

const SIDE_PX = 132;
/** Picture's pixels to the screen's: one that is tapped is seen. */
const ZOOM = 3;

/** What is under the finger, larger, in the corner away from it. */
export function Loupe({
  url,
  size,
  at,
  left,
}: {
  url: string;
  size: { width: number; height: number };
  at: PicturePlace;
  left: boolean;
}) {
  const palette = usePalette();
  const half = SIDE_PX / 2;
  return (
    <div
      aria-hidden="true"
      data-testid="loupe"
      style={{
        position: 'absolute',
        top: 0,
        [left ? 'left' : 'right']: 0,
        width: SIDE_PX,
        height: SIDE_PX,
        border: `2px solid ${palette.ink}`,
        backgroundColor: palette.ground,
        backgroundImage: `url(${url})`,
        backgroundRepeat: 'no-repeat',
        backgroundSize: `${size.width * ZOOM}px ${size.height * ZOOM}px`,
        backgroundPosition: `${half - at.u * ZOOM}px ${half - at.v * ZOOM}px`,
      }}
    >
      <svg width={SIDE_PX} height={SIDE_PX}>
        {[3, 1].map((width) => (
          <path
            key={width}
            d={`M0 ${half}H${SIDE_PX}M${half} 0V${SIDE_PX}`}
            stroke={width > 2 ? palette.onAction : palette.action}
            strokeWidth={width}
            opacity={0.8}
          />
        ))}
      </svg>
    </div>
  );
}
