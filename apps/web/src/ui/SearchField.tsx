import { View } from 'react-native';
import { IconTap } from './Action';
import { Icon } from './Icon';
import { LineInput } from './LineInput';
import { usePalette } from './tokens';

/** Words to look for. Paper's own bar has buttons smaller than a thumb; this is its field between ours. */
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
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 16, paddingVertical: 6 }}>
      <Icon name="search" color={palette.soft} />
      <View style={{ flex: 1 }}>
        <LineInput value={value} onChangeText={onChange} label={label} placeholder={label} testID={testID} words />
      </View>
      {value === '' ? null : <IconTap icon="close" label={`clear: ${label}`} onPress={() => onChange('')} />}
    </View>
  );
}
