import { View } from 'react-native';
import { Icon } from './Icon';
import { steady } from './steady';
import { Tap } from './Tap';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** Yes or no, a whole row to hit. */
export const Switch = steady(function Switch({
  label,
  on,
  onChange,
  disabled,
  testID,
  note,
  bare,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
  disabled?: boolean;
  testID?: string;
  note?: string;
  /** Without a rule below: something of its own follows. */
  bare?: boolean;
}) {
  const palette = usePalette();
  return (
    <Tap
      role="checkbox"
      selected={on}
      label={label}
      disabled={disabled}
      testID={testID}
      onPress={() => onChange(!on)}
      style={{ paddingHorizontal: 16, borderBottomWidth: bare ? 0 : 1, borderBottomColor: palette.hairline }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
        <View
          style={{
            width: 24,
            height: 24,
            borderWidth: on ? 2 : 1.5,
            borderColor: on ? palette.action : palette.soft,
            alignItems: 'center',
            justifyContent: 'center',
          }}
        >
          {on ? <Icon name="check" size={18} color={palette.action} /> : null}
        </View>
        <View style={{ flex: 1 }}>
          <Txt>{label}</Txt>
          {note ? (
            <Txt kind="small" soft>
              {note}
            </Txt>
          ) : null}
        </View>
      </View>
    </Tap>
  );
});
