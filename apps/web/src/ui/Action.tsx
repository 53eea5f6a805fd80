import { View } from 'react-native';
import { Icon, type IconName } from './Icon';
import { Tap } from './Tap';
import { actionHeight, font, size, usePalette } from './tokens';
import { Txt } from './Txt';

export interface ActionProps {
  label: string;
  onPress: () => void;
  icon?: IconName;
  quiet?: boolean;
  disabled?: boolean;
  testID?: string;
}

/** The one thing that the hand does next; `quiet` for what stands beside it. */
export function Action({ label, onPress, icon, quiet, disabled, testID }: ActionProps) {
  const palette = usePalette();
  const ink = quiet ? palette.ink : palette.onAction;
  return (
    <Tap
      label={label}
      onPress={onPress}
      disabled={disabled}
      testID={testID}
      style={{
        minHeight: actionHeight,
        backgroundColor: quiet ? 'transparent' : palette.action,
        borderWidth: quiet ? 1.5 : 0,
        borderColor: palette.ink,
        paddingHorizontal: 16,
      }}
    >
      <View style={{ flexDirection: 'row', gap: 10, alignItems: 'center', justifyContent: 'center' }}>
        <Txt color={ink} style={{ ...font.bold, fontSize: size.text + 2 }}>
          {label}
        </Txt>
        {icon ? <Icon name={icon} color={ink} size={20} /> : null}
      </View>
    </Tap>
  );
}

/** A button that is only an icon, with its name for those who cannot see it. */
export function IconTap({
  icon,
  label,
  onPress,
  disabled,
}: {
  icon: IconName;
  label: string;
  onPress: () => void;
  disabled?: boolean;
}) {
  return (
    <Tap label={label} onPress={onPress} disabled={disabled} style={{ alignItems: 'center' }}>
      <Icon name={icon} />
    </Tap>
  );
}
