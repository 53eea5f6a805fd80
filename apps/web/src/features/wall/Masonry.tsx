import { View } from 'react-native';
import type { Build } from '@steddo/contract';
import { unitOf, USUAL_JOINT_MM } from '@steddo/core';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { GuessBadge } from '../../ui/GuessBadge';

/** What a masonry wall is built of and how its joints are known: what takes the place of studs there. */
export function Masonry({ build }: { build: Build }) {
  const { plan, say } = useRoomContext();
  const unit = unitOf(build);
  if (!unit)
    return (
      <View style={{ padding: 16 }} testID="masonry-units">
        <Txt>Concrete has no joints: any place will do that is clear of what runs in it.</Txt>
      </View>
    );
  const joint = build.unit?.joint ?? USUAL_JOINT_MM;
  const beds = plan.courses?.length ?? 0;
  const uprights = plan.courses?.some((c) => c.joints.length > 0) ?? false;
  return (
    <View style={{ paddingHorizontal: 16, paddingTop: 10, gap: 4 }} testID="masonry-units">
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <Txt kind="bold">{`${build.masonry ?? 'block'} ${say.length(unit.width)} x ${say.length(unit.height)}, joints ${say.length(joint)}`}</Txt>
        {build.unit ? null : <GuessBadge />}
      </View>
      <Txt kind="small" soft>
        {uprights
          ? 'Level and upright joints are known: the holes keep off both.'
          : beds > 0
            ? build.unit?.bond === 'stack'
              ? 'The level joints are known. Mark an upright one too: they stand in line.'
              : 'The level joints are known. Mark an upright one too: every other course stands half a unit over.'
            : 'No joint is marked yet. Mark one where an upright joint stands on a level one.'}
      </Txt>
    </View>
  );
}
