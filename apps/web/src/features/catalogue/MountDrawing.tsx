import { useMemo } from 'react';
import { View } from 'react-native';
import type { Mount, Units } from '@steddo/contract';
import { mountSideScene, plateScene } from '@steddo/drawing';
import { Drawing } from '../../canvas/Drawing';
import { usePalette } from '../../ui/tokens';

const HIGH_PX = 190;

/** A mount drawn from its own numbers: the plate with its slots and hook, and from the side, folded and out. */
export function MountDrawing({ mount, units }: { mount: Mount; units: Units }) {
  const palette = usePalette();
  const plate = useMemo(() => plateScene(mount, units, 'none'), [mount, units]);
  const side = useMemo(() => mountSideScene(mount, units), [mount, units]);
  return (
    <View
      testID="mount-drawing"
      style={{ flexDirection: 'row', height: HIGH_PX, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      {mount.plate ? (
        <View style={{ flex: 1 }}>
          <Drawing
            scene={plate}
            box={plate.focus}
            units={units}
            label={`the plate of ${mount.name}, face on, to scale`}
            testID="mount-plate"
          />
        </View>
      ) : null}
      <View style={{ flex: 1 }}>
        <Drawing
          scene={side}
          box={side.focus}
          units={units}
          label={`${mount.name} from the side, to scale`}
          testID="mount-side"
        />
      </View>
    </View>
  );
}
