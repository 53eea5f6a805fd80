import { memo, useMemo } from 'react';
import { fitView } from '@steddo/drawing';
import { Shapes } from '../../canvas/shapes';
import { usePalette } from '../../ui/tokens';
import type { Listed } from '../../worker/listed';

const SIZE = { width: 104, height: 76 } as const;

/** The wall of a room, true and small: what stands on it, the set, the holes. Its sheet stays empty until it is worked out. */
export const WallSketch = memo(function WallSketch({ sketch }: { sketch: Listed['sketch'] | undefined }) {
  const palette = usePalette();
  const view = useMemo(() => sketch && fitView(sketch.bounds, { ...SIZE, padPx: 4 }), [sketch]);
  return (
    <svg
      width={SIZE.width}
      height={SIZE.height}
      aria-hidden="true"
      style={{ background: palette.sheet, flexShrink: 0 }}
    >
      {sketch && view ? <Shapes shapes={sketch.shapes} view={view} palette={palette} /> : null}
    </svg>
  );
});
