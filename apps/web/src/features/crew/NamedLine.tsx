import { useState } from 'react';
import { View } from 'react-native';
import { LineInput } from '../../ui/LineInput';
import { Tap } from '../../ui/Tap';
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
  exact?: boolean;
  testID: string;
}

/** A line to write words on, its name above it and its fault below. */
export function NamedLine({ label, hint, value, onChange, fault, secret, exact, testID }: NamedLineProps) {
  const palette = usePalette();
  const [seen, setSeen] = useState(false);
  return (
    <View
      style={{ paddingHorizontal: 16, paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <Txt kind="bold">{label}</Txt>
      <Txt kind="small" soft>
        {hint}
      </Txt>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1 }}>
          <LineInput
            label={label}
            value={value}
            onChangeText={onChange}
            invalid={fault !== undefined}
            secret={secret && !seen}
            exact={secret || exact}
            words
            testID={testID}
          />
        </View>
        {secret ? (
          <Tap label={`${seen ? 'hide' : 'show'} the ${label}`} testID={`${testID}-see`} onPress={() => setSeen(!seen)}>
            <Txt style={{ textDecorationLine: 'underline', paddingHorizontal: 10 }}>{seen ? 'hide' : 'show'}</Txt>
          </Tap>
        ) : null}
      </View>
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
