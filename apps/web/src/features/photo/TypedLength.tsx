import { View } from 'react-native';
import { parseTape, tapeOf } from '@steddo/core';
import { useRoomContext } from '../../state/roomState';
import { LineInput } from '../../ui/LineInput';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

/** A length that is typed and goes nowhere yet. */
export function TypedLength({
  label,
  value,
  onChange,
  testID,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  testID: string;
}) {
  const palette = usePalette();
  const { job } = useRoomContext();
  const read = value.trim() === '' ? undefined : parseTape(value, { unit: tapeOf(job.units).unit });
  const fault = read && (!read.ok || read.mm < 0) ? 'takes a length as the tape says it' : undefined;
  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
        <View style={{ flex: 1 }}>
          <Txt>{label}</Txt>
        </View>
        <LineInput
          label={label}
          value={value}
          onChangeText={onChange}
          invalid={fault !== undefined}
          toRight
          inputMode="decimal"
          width={120}
          testID={testID}
        />
      </View>
      {fault ? (
        <View role="alert">
          <Txt kind="small" color={palette.stop}>
            {fault}
          </Txt>
        </View>
      ) : null}
    </View>
  );
}
