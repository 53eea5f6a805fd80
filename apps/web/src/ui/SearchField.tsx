import { TextInput, View } from 'react-native';
import { font, target, usePalette } from './tokens';
import { Txt } from './Txt';

/** Words to look for. */
export function SearchField({
  value,
  onChange,
  label,
  testID,
}: {
  value: string;
  onChange: (text: string) => void;
  label: string;
  testID: string;
}) {
  const palette = usePalette();
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 6 }}>
      <Txt kind="small" soft>
        {label}
      </Txt>
      <TextInput
        value={value}
        onChangeText={onChange}
        aria-label={label}
        testID={testID}
        autoComplete="off"
        style={{
          ...font.text,
          fontSize: 18,
          minHeight: target,
          color: palette.ink,
          borderBottomWidth: 2,
          borderBottomColor: palette.ink,
        }}
      />
    </View>
  );
}
