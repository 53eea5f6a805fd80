import { useRef } from 'react';
import { View } from 'react-native';
import { usePictureUrl } from '../state/usePictures';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { useSeen } from '../ui/useSeen';

/** What stands where a picture would be. */
const ABSENT = 'Not here, and not on the server yet: it is on the device that took it.';

/** A picture in its frame, fetched when it comes into sight. */
export function Picture({ room, id, alt, height }: { room: string; id: string; alt: string; height: number | string }) {
  const palette = usePalette();
  const ref = useRef<View>(null);
  const url = usePictureUrl(room, id, useSeen(ref));
  return (
    <View
      ref={ref}
      style={{
        height: height as number,
        backgroundColor: palette.raised,
        justifyContent: 'center',
        alignItems: 'center',
      }}
    >
      {url === 'none' ? (
        <View style={{ padding: 8 }}>
          <Txt kind="small" soft>
            {ABSENT}
          </Txt>
        </View>
      ) : url ? (
        <img src={url} alt={alt} style={{ width: '100%', height: '100%', objectFit: 'contain' }} />
      ) : null}
    </View>
  );
}

/** A picture of the list, with what it is of and where it is. */
export function PictureTile({
  room,
  id,
  name,
  note,
  onPress,
}: {
  room: string;
  id: string;
  name: string;
  note: string;
  onPress: () => void;
}) {
  return (
    <Tap label={`${name}, ${note}: open`} testID={`picture-${id}`} onPress={onPress}>
      <View style={{ gap: 2 }}>
        <Picture room={room} id={id} alt={name} height={TILE_PX} />
        <Txt kind="bold">{name}</Txt>
        <Txt kind="small" soft>
          {note}
        </Txt>
      </View>
    </Tap>
  );
}

const TILE_PX = 150;
