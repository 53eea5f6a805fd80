import { Button, IconButton } from 'react-native-paper';
import type { IconName } from './Icon';
import { rem } from './rem';
import { steady } from './steady';
import { actionHeight, font, size, target, usePalette } from './tokens';

export interface ActionProps {
  label: string;
  onPress: () => void;
  icon?: IconName;
  quiet?: boolean;
  disabled?: boolean;
  /** As tall as what stands beside it. */
  fill?: boolean;
  testID?: string;
}

/** The one thing that the hand does next; `quiet` for what stands beside it. */
export const Action = steady(function Action({ label, onPress, icon, quiet, disabled, fill, testID }: ActionProps) {
  const palette = usePalette();
  return (
    <Button
      mode={quiet ? 'outlined' : 'contained'}
      onPress={onPress}
      disabled={disabled}
      testID={testID}
      icon={icon}
      accessibilityLabel={label}
      textColor={quiet ? palette.ink : palette.onAction}
      buttonColor={quiet ? 'transparent' : palette.action}
      rippleColor={palette.press}
      contentStyle={{ minHeight: actionHeight, flexDirection: 'row-reverse' }}
      labelStyle={icon ? BESIDE_ICON : LABEL}
      style={{
        borderWidth: quiet ? 1.5 : 0,
        borderColor: palette.ink,
        opacity: disabled ? 0.35 : 1,
        justifyContent: 'center',
        ...(fill ? { flexGrow: 1 } : {}),
      }}
    >
      {label}
    </Button>
  );
});

/** Long words go on in a second line instead of being cut off. */
const LABEL = {
  ...font.bold,
  fontSize: rem(size.text + 2),
  lineHeight: rem(24),
  marginVertical: 10,
  marginHorizontal: 10,
  overflow: 'visible',
  whiteSpace: 'normal',
  textAlign: 'center',
} as const;

/** Paper sets its icon 16 px into the label's own margin. */
const BESIDE_ICON = { ...LABEL, marginRight: 26, marginLeft: 22 } as const;

/** A button that is only an icon, with its name for those who cannot see it. */
export const IconTap = steady(function IconTap({
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
  const palette = usePalette();
  return (
    <IconButton
      icon={icon}
      accessibilityLabel={label}
      onPress={onPress}
      disabled={disabled}
      size={24}
      iconColor={palette.ink}
      rippleColor={palette.press}
      style={{ margin: 0, width: target, height: target, borderRadius: 0, opacity: disabled ? 0.35 : 1 }}
    />
  );
});
