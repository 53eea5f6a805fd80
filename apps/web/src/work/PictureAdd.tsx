import { useRef, useState } from 'react';
import { View } from 'react-native';
import { useRoomContext } from '../state/roomState';
import { takePictures, type TakenPictures } from '../state/takePictures';
import { Action } from '../ui/Action';
import { Half, Notice, Pair } from '../ui/Notice';
import { isTapped } from '../ui/pointer';
import { Txt } from '../ui/Txt';

type Source = 'camera' | 'files';

/** Takes a picture of something, or lets one be chosen; what cannot be taken says why. */
export function PictureAdd({ of, name }: { of: string; name: string }) {
  const { id, dispatch, readOnly } = useRoomContext();
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState<TakenPictures>();
  const take = async (chosen: readonly File[]) => {
    if (chosen.length === 0) return;
    setBusy(true);
    setDone(undefined);
    setDone(await takePictures(id, of, chosen, dispatch));
    setBusy(false);
  };
  const input = (source: Source) => (
    <input
      ref={source === 'camera' ? camera : files}
      type="file"
      accept="image/*"
      aria-label={source === 'camera' ? `a picture of ${name}` : `pictures of ${name}`}
      data-testid={`picture-${source}`}
      {...(source === 'camera' ? { capture: 'environment' as const } : { multiple: true })}
      hidden
      onChange={(e) => {
        const chosen = [...(e.target.files ?? [])];
        e.target.value = '';
        void take(chosen);
      }}
    />
  );
  const byHand = isTapped();
  return (
    <View style={{ gap: 8, paddingHorizontal: 16, paddingVertical: 10 }}>
      {input('camera')}
      {input('files')}
      <Pair>
        {byHand ? (
          <Half>
            <Action
              label={busy ? 'making it small…' : 'take a picture'}
              testID="take-picture"
              disabled={readOnly || busy}
              onPress={() => camera.current?.click()}
            />
          </Half>
        ) : null}
        <Half>
          <Action
            quiet={byHand}
            label={busy && !byHand ? 'making them small…' : 'choose pictures'}
            testID="choose-pictures"
            disabled={readOnly || busy}
            onPress={() => files.current?.click()}
          />
        </Half>
      </Pair>
      <View role="status" testID="picture-said">
        {done && done.taken > 0 ? (
          <Txt>{`${done.taken === 1 ? 'One picture' : `${done.taken} pictures`} of ${name} taken.`}</Txt>
        ) : null}
      </View>
      {done && done.refused.length > 0 ? (
        <Notice
          testID="picture-refused"
          title="Not taken"
          text={done.refused.map((r) => (r.endsWith('.') ? r : `${r}.`)).join(' ')}
        />
      ) : null}
    </View>
  );
}
