import { View } from 'react-native';
import { router } from 'expo-router';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';

/** To the pictures of a hole, a look or the room, with how many there are; of everything in it with `all`. */
export function PicturesLink({ of, all }: { of: string; all?: boolean }) {
  const { id, job } = useRoomContext();
  const count = (job.photos ?? []).filter((p) => all || p.of === of).length;
  return (
    <View style={{ alignItems: 'flex-start', paddingTop: 6 }}>
      <Action
        quiet
        icon="camera"
        label={count === 0 ? 'take a picture' : `pictures: ${count}`}
        testID={`pictures-of-${of}`}
        onPress={() => router.push(`/room/${id}/pictures?of=${encodeURIComponent(of)}`)}
      />
    </View>
  );
}
