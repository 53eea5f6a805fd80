import { memo, useMemo } from 'react';
import type { Mount } from '@steddo/contract';
import { moves } from '@steddo/core';
import { fitView, mountAboveScene, mountSideScene, type Box } from '@steddo/drawing';
import { Shapes } from '../canvas/shapes';
import { usePalette } from '../ui/tokens';

const SIZE = { width: 64, height: 52 } as const;

/** The drawing by which a mount is told from others: from above where it moves, else from the side. */
export const tellingScene = (mount: Mount) =>
  moves(mount) ? mountAboveScene(mount, 'metric') : mountSideScene(mount, 'metric');

/** A mount as small as a stamp, drawn from its own numbers; in a `box` to be at the scale of others. */
export const MountSketch = memo(function MountSketch({
  mount,
  box,
  size = SIZE,
}: {
  mount: Mount;
  box?: Box;
  size?: { width: number; height: number };
}) {
  const palette = usePalette();
  const scene = useMemo(() => tellingScene(mount), [mount]);
  const view = useMemo(() => fitView(box ?? scene.bounds, { ...size, padPx: 2, stands: 'middle' }), [scene, box, size]);
  return (
    <svg
      {...size}
      aria-hidden="true"
      data-mount={mount.id}
      style={{ background: palette.sheet, flexShrink: 0, display: 'block' }}
    >
      <Shapes shapes={scene.shapes} view={view} palette={palette} />
    </svg>
  );
});
