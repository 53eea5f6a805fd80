import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { minutesText } from '@steddo/text';
import { DayLine } from '../features/day/DayLine';
import { DayTable } from '../features/day/DayTable';
import { PackPart } from '../features/day/PackPart';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { isBeside, type Posture } from '../ui/usePosture';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';

/** The whole day: what comes after what, who, with which tools, and what has to be in the van. */
export function DayPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ posture }) => <Day id={id} posture={posture} />}</RoomFrame>;
}

function Day({ id, posture }: { id: string; posture: Posture }) {
  const palette = usePalette();
  const { job, plan } = useRoomContext();
  const { day } = plan;
  const leave = () => (router.canGoBack() ? router.back() : router.replace(`/room/${id}/hang`));
  const head = <PageHead title={`The day: ${job.title}`} back="back to the room" onBack={leave} />;
  if (!day)
    return (
      <View style={{ flex: 1, backgroundColor: palette.ground }} testID="day">
        {head}
        <View style={{ padding: 20, gap: 16 }}>
          <Txt kind="bold">Pick a mount, and the day follows from it.</Txt>
          <Action label="the mounts" onPress={() => router.replace(`/room/${id}/mount`)} />
        </View>
      </View>
    );
  const two = day.steps.filter((s) => s.who === 'two' && !s.done);
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="day">
      {head}
      <View style={{ flex: 1, flexDirection: isBeside(posture) ? 'row' : 'column' }}>
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          <View style={{ paddingHorizontal: 16, gap: 4 }}>
            <Txt testID="day-sum">
              {`${minutesText(day.minutes)}, ${day.people === 2 ? 'two people' : 'one person'}. Minutes are a rule of thumb.`}
            </Txt>
            {two.length > 0 ? (
              <Txt kind="bold" testID="second-hands">
                {`Ask for a second pair of hands: ${two.length === 1 ? 'one step needs' : `${two.length} steps need`} two.`}
              </Txt>
            ) : null}
          </View>
          <DayLine steps={day.steps} />
          <DayTable steps={day.steps} />
          {isBeside(posture) ? null : <PackPart pack={day.pack} />}
        </ScrollView>
        {isBeside(posture) ? (
          <ScrollView style={{ flex: 1, borderLeftWidth: 1, borderLeftColor: palette.hairline }} tabIndex={0}>
            <PackPart pack={day.pack} />
          </ScrollView>
        ) : null}
      </View>
    </View>
  );
}
