import { memo } from 'react';
import type { PlacedLabel } from '@steddo/drawing';
import { font, usePalette } from '../ui/tokens';
import { Leader } from './marks';
import { sameContent } from '../ui/useSame';

/** A strip of tape with a measure on it, torn at its right edge, and a leader when it had to move. */
export const MarkLabel = memo(function MarkLabel({ label }: { label: PlacedLabel }) {
  const palette = usePalette();
  const { x, y, width, height, leader } = label;
  const step = height / 4;
  const torn = [0, 1, 2, 3].map((i) => `L${x + width + (i % 2 === 0 ? 3 : 0)} ${y + (i + 0.5) * step}`).join('');
  return (
    <g data-label={label.id} data-x={x} data-y={y} data-width={width} data-height={height}>
      {leader ? <Leader leader={leader} palette={palette} /> : null}
      <path
        d={`M${x} ${y}L${x + width} ${y}${torn}L${x + width} ${y + height}L${x} ${y + height}Z`}
        fill={palette.tape}
        stroke={palette.tapeEdge}
        strokeWidth={1}
      />
      <text
        x={x + 8}
        y={y + height / 2}
        dominantBaseline="central"
        fill={palette.onTape}
        fontSize={13}
        style={font.figure}
      >
        {label.text}
      </text>
    </g>
  );
}, sameContent);
