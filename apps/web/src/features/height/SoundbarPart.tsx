import { View } from 'react-native';
import type { Job } from '@steddo/contract';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';

/** Left above and below a bar of which only the height is known, mm. Ours. */
const GAP_MM = 50;

/** A bar that is hung another day: the set leaves it room, and its place is drawn. */
export function SoundbarPart() {
  const { job, dispatch, readOnly } = useRoomContext();
  return (
    <View testID="soundbar">
      <View style={{ paddingHorizontal: 16, paddingTop: 8 }}>
        <Txt kind="small" soft>
          Hung another day, under the set: the set is kept high enough for it, its place is drawn dashed.
        </Txt>
      </View>
      <TapeFields fields={soundbarFields(job)} />
      {job.aim.soundbar ? (
        <View style={{ padding: 12 }}>
          <Action
            quiet
            label="no soundbar"
            testID="no-soundbar"
            disabled={readOnly}
            onPress={() => dispatch({ do: 'drop', path: 'aim.soundbar' })}
          />
        </View>
      ) : null}
    </View>
  );
}

function soundbarFields({ aim }: Job): Field[] {
  const known = aim.soundbar;
  return [
    {
      path: 'aim.soundbar.height',
      label: 'its height',
      kind: 'length',
      min: 10,
      max: 500,
      ...(known ? { value: known.height } : {}),
      command: (height, now) => ({
        do: 'put',
        path: 'aim.soundbar',
        value: { gap: GAP_MM, ...now.aim.soundbar, height },
      }),
    },
    ...(known
      ? [
          {
            path: 'aim.soundbar.gap',
            label: 'free above it and below it',
            kind: 'length' as const,
            min: 0,
            max: 500,
            value: known.gap,
            command: (gap: number, now: Job) => ({
              do: 'put' as const,
              path: 'aim.soundbar' as const,
              value: { ...(now.aim.soundbar ?? known), gap },
            }),
          },
        ]
      : []),
  ];
}
