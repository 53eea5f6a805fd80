import { View } from 'react-native';
import { distanceRule } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';

/** How near and how far this picture wants its viewers, and where they are. */
export function DistanceTable() {
  const { job, plan } = useRoomContext();
  const palette = usePalette();
  const { distances } = plan;
  if (!distances) return null;
  const line = {
    flexDirection: 'row',
    alignItems: 'center',
    paddingHorizontal: 16,
    borderBottomWidth: 1,
    borderBottomColor: palette.hairline,
  } as const;
  return (
    <View testID="distances">
      {distances.bounds.map((b) => (
        <View key={b.rule} style={line}>
          <View style={{ flex: 1 }}>
            <Txt>{distanceRule[b.rule]}</Txt>
          </View>
          <View style={{ width: 110 }}>
            <Figure label={distanceRule[b.rule]} working={b.working} size={17} hideLabel />
          </View>
        </View>
      ))}
      {distances.viewers.map((v) => (
        <View key={v.viewer} style={line}>
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{job.room.viewers?.find((o) => o.id === v.viewer)?.name ?? v.viewer}</Txt>
            <Txt kind="small" soft>
              {v.verdict === 'within'
                ? 'within the usual range'
                : v.verdict === 'near'
                  ? 'nearer than usual'
                  : 'further than usual'}
            </Txt>
          </View>
          <View style={{ width: 110 }}>
            {v.working ? <Figure label="the picture fills" working={v.working} size={17} hideLabel /> : null}
          </View>
        </View>
      ))}
    </View>
  );
}
