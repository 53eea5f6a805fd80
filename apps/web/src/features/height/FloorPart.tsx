import { View } from 'react-native';
import type { Job, Plan } from '@steddo/contract';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { useRoomContext } from '../../state/roomState';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';

/** Down to the floor from a level line, at both ends of the set: whether two marks up from the floor would be level. */
export function FloorPart() {
  const { job, plan } = useRoomContext();
  const { floor } = plan;
  return (
    <View testID="floor">
      <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
        <Txt kind="small" soft>
          A level line on the wall, or the line of a laser: from it down to the floor, at both ends of the set.
        </Txt>
      </View>
      <TapeFields fields={floorFields(job, plan)} />
      {floor ? (
        <View style={{ paddingHorizontal: 16, paddingVertical: 6 }}>
          <Figure
            label={`floor, ${floor.high === 'neither' ? 'level' : `${floor.high} end high`}`}
            working={floor.working}
            size={20}
          />
        </View>
      ) : null}
    </View>
  );
}

/** One height for each end of the set; where it hangs later does not move them. */
function floorFields({ floorHeights = [], room }: Job, { placement }: Plan): Field[] {
  const at = { left: placement?.left ?? 0, right: placement?.right ?? room.wall.width };
  return (['left', 'right'] as const).map((side): Field => {
    const id = `floor-${side}`;
    const known = floorHeights.find((h) => h.id === id);
    return {
      path: `floorHeights.${id}.drop`,
      label: `down to the floor, ${side} end`,
      kind: 'length',
      min: 0,
      max: 5000,
      ...(known ? { value: known.drop } : {}),
      command: (drop) => ({ do: 'put', path: `floorHeights.${id}`, value: { id, x: known?.x ?? at[side], drop } }),
    };
  });
}
