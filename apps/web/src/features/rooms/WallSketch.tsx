import { memo, useMemo } from 'react';
import type { Job, Plan } from '@steddo/contract';
import { roomFace, fitView } from '@steddo/drawing';
import { Shapes } from '../../canvas/shapes';
import { usePalette } from '../../ui/tokens';

const SIZE = { width: 104, height: 76 } as const;

/** The wall of a room, true and small: what stands on it, the set, the holes. */
export const WallSketch = memo(function WallSketch({ job, plan }: { job: Job; plan: Plan }) {
  const palette = usePalette();
  const scene = useMemo(() => roomFace(job, plan, 'none'), [job, plan]);
  const view = useMemo(() => fitView(scene.bounds, { ...SIZE, padPx: 4 }), [scene]);
  const shapes = useMemo(() => scene.shapes.filter((s) => SHOWN.has(s.role)), [scene]);
  return (
    <svg
      width={SIZE.width}
      height={SIZE.height}
      aria-hidden="true"
      style={{ background: palette.sheet, flexShrink: 0 }}
    >
      <Shapes shapes={shapes} view={view} palette={palette} />
    </svg>
  );
});

/** What is still told apart when a wall is as small as a stamp. */
const SHOWN = new Set(['wall', 'floor', 'zone', 'stud', 'object', 'cover', 'set', 'joint-line', 'backing']);
