import { View } from 'react-native';
import { router } from 'expo-router';
import { MANTEL_AFTER, mantelWords, shareText } from '@steddo/text';
import { Action } from '../ui/Action';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';
import { Figure } from './Figure';
import { HoleHead } from './HoleHead';
import { useRoomContext } from '../state/roomState';

/** The timber of a hollow mantel: its holes, what they carry, and the order of the work; it goes up before the set. */
export function MantelPart() {
  const { id, plan, say } = useRoomContext();
  const { mantel } = plan;
  if (!mantel?.timber) return null;
  const { timber, holes = [], load } = mantel;
  return (
    <View style={{ padding: 16, gap: 10 }} testID="mantel-part">
      <Txt>{`Timber from ${say.length(timber.left)} to ${say.length(timber.right)} from the left, its upper edge ${say.length(timber.top)} up.`}</Txt>
      {holes.map((hole) => {
        const words = mantelWords(mantel, hole, say);
        return (
          <View key={hole.id} testID={`mantel-${hole.id}`} style={{ gap: 2 }}>
            <HoleHead name={words.name} hole={hole} />
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
              <Figure label="up from the floor" working={hole.workings.y} />
              <Figure label="from the left wall" working={hole.workings.x} />
            </View>
            <Txt kind="small">{words.drill}</Txt>
          </View>
        );
      })}
      {load ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
          <View style={{ flex: 1 }}>
            <Txt>{`Each screw has ${shareText(load.utilisation)} of what it may hold.`}</Txt>
          </View>
          <Verdict verdict={load.verdict} />
        </View>
      ) : null}
      {holes.length > 0 ? (
        <Action
          label={holes.every((h) => h.done) ? 'the shell' : "the timber's holes, one at a time"}
          testID="to-mantel"
          onPress={() => router.push(`/room/${id}/mantel`)}
        />
      ) : null}
      {MANTEL_AFTER.map((text, i) => (
        <Txt key={text} kind="small">{`${i + 1}. ${text}`}</Txt>
      ))}
    </View>
  );
}
