import { View } from 'react-native';
import type { Units } from '@steddo/contract';
import { parseTape, tapeOf } from '@steddo/core';
import { useRoomContext } from '../../state/roomState';
import { LineInput } from '../../ui/LineInput';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

/** What was typed, mm: undefined while that is nothing, and a fault where it is no length. */
export function readLength(text: string, units: Units): { mm?: number; fault?: string } {
  if (text.trim() === '') return {};
  const read = parseTape(text, { unit: tapeOf(units).unit });
  return read.ok && read.mm >= 0 ? { mm: read.mm } : { fault: 'takes a length as the tape says it' };
}

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
  const { fault } = readLength(value, job.units);
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
