import { useMemo } from 'react';
import { View } from 'react-native';
import type { Mount, Units } from '@steddo/contract';
import { moves } from '@steddo/core';
import { mountAboveScene, mountSideScene, plateScene, type Scene } from '@steddo/drawing';
import { Drawing } from '../../canvas/Drawing';
import { usePalette } from '../../ui/tokens';

const HIGH_PX = 190;

interface MountView {
  id: string;
  label: string;
  scene: Scene;
}

interface MountDrawingProps {
  mount: Mount;
  units: Units;
  /** One under the other, where there is a column for them. */
  stacked?: boolean;
  high?: number;
}

/** A mount drawn from its own numbers: the plate with its slots and hook, from the side, and from above where it moves. */
export function MountDrawing({ mount, units, stacked = false, high = HIGH_PX }: MountDrawingProps) {
  const palette = usePalette();
  const views = useMemo<MountView[]>(
    () => [
      ...(mount.plate
        ? [{ id: 'plate', label: `the plate of ${mount.name}, face on`, scene: plateScene(mount, units, 'none') }]
        : []),
      { id: 'side', label: `${mount.name} from the side`, scene: mountSideScene(mount, units) },
      ...(moves(mount)
        ? [{ id: 'above', label: `${mount.name} from above`, scene: mountAboveScene(mount, units) }]
        : []),
    ],
    [mount, units],
  );
  return (
    <View
      testID="mount-drawing"
      style={{
        flexDirection: stacked ? 'column' : 'row',
        flexWrap: stacked ? 'nowrap' : 'wrap',
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      {views.map(({ id, label, scene }, i) => (
        <View
          key={id}
          // three of them: the one from above has a row of its own
          style={{ width: stacked || i === 2 || views.length === 1 ? '100%' : '50%', height: high }}
        >
          <Drawing scene={scene} box={scene.focus} units={units} label={`${label}, to scale`} testID={`mount-${id}`} />
        </View>
      ))}
    </View>
  );
}
