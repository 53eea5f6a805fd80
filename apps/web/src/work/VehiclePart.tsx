import { View } from 'react-native';
import { skinLine, travelText } from '@steddo/text';
import { useRoomContext } from '../state/roomState';
import { Txt } from '../ui/Txt';
import { Figure } from './Figure';

/** Of a vehicle: where the backing is, and how the drill and the screw end before the skin. */
export function SkinPart() {
  const { plan, say } = useRoomContext();
  const { vehicle } = plan;
  if (!vehicle) return null;
  const { backing, workings } = vehicle;
  const line = skinLine(vehicle, say);
  return (
    <View style={{ padding: 16, gap: 8 }} testID="skin-part">
      {backing ? (
        <Txt>{`Backing from ${say.length(backing.left)} to ${say.length(backing.right)} from the left, ${say.length(backing.bottom)} to ${say.length(backing.top)} up, its edges within ${say.length(backing.doubt)}.`}</Txt>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
        {workings.flag ? <Figure label="flag on the bit" working={workings.flag} size={20} /> : null}
        {workings.tip ? <Figure label="point to the skin" working={workings.tip} size={20} /> : null}
      </View>
      {line ? <Txt kind="bold">{line}</Txt> : null}
    </View>
  );
}

/** The same in one line, for the pages on which one drills. */
export function SkinNote() {
  const { plan, say } = useRoomContext();
  const line = plan.vehicle && skinLine(plan.vehicle, say);
  return line ? (
    <Txt kind="bold" testID="skin-note">
      {line}
    </Txt>
  ) : null;
}

/** What is seen to before it is driven. */
export function TravelList() {
  const { plan } = useRoomContext();
  return (
    <>
      {(plan.vehicle?.travel ?? []).map((check) => (
        <Txt key={check}>{travelText(check)}</Txt>
      ))}
    </>
  );
}
