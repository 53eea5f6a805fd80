import { View } from 'react-native';
import { LineInput } from '../../ui/LineInput';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

export interface NamedLineProps {
  label: string;
  hint: string;
  value: string;
  onChange: (text: string) => void;
  /** What is wrong with it; empty where only the line is to be marked. */
  fault: string | undefined;
  secret?: boolean;
  testID: string;
}

/** A line to write words on, its name above it and its fault below. */
export function NamedLine({ label, hint, value, onChange, fault, secret, testID }: NamedLineProps) {
  const palette = usePalette();
  return (
    <View
      style={{ paddingHorizontal: 16, paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <Txt kind="bold">{label}</Txt>
      <Txt kind="small" soft>
        {hint}
      </Txt>
      <LineInput
        label={label}
        value={value}
        onChangeText={onChange}
        invalid={fault !== undefined}
        secret={secret}
        words
        testID={testID}
      />
      {fault ? (
        <View role="alert">
          <Txt kind="small" color={palette.stop} testID={`${testID}-fault`}>
            {fault}
          </Txt>
        </View>
      ) : null}
    </View>
  );
}
