import type { ReactNode } from 'react';
import type { ViewStyle } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { target, usePalette } from './tokens';

/** Of a row, a tab, a radio; Paper's own of these do not say their state on the web, so that it is said here. */
export interface TapProps {
  label?: string;
  onPress: () => void;
  children: ReactNode;
  style?: ViewStyle | ViewStyle[];
  disabled?: boolean;
  selected?: boolean;
  expanded?: boolean;
  role?: 'button' | 'link' | 'radio' | 'tab' | 'checkbox';
  testID?: string;
  /** Out of the order of the tab key: arrows lead to it. */
  roving?: boolean;
  /** The pointer or the keys are on it. */
  onLook?: () => void;
}

/** Anything that a thumb hits: at least 48 px each way, with a name. */
export function Tap({
  label,
  onPress,
  children,
  style,
  disabled,
  selected,
  expanded,
  role = 'button',
  testID,
  onLook,
  roving,
}: TapProps) {
  const palette = usePalette();
  const state =
    role === 'radio' || role === 'checkbox'
      ? { 'aria-checked': Boolean(selected) }
      : role === 'tab'
        ? { 'aria-selected': Boolean(selected) }
        : selected !== undefined
          ? { 'aria-pressed': selected }
          : {};
  return (
    <TouchableRipple
      role={role}
      aria-label={label}
      aria-expanded={expanded}
      {...state}
      disabled={disabled}
      onPress={onPress}
      onHoverIn={onLook}
      onFocus={onLook}
      testID={testID}
      {...(roving ? { tabIndex: -1 as const } : {})}
      rippleColor={palette.press}
      style={({ pressed }) => [
        { minHeight: target, minWidth: target, justifyContent: 'center' },
        ...(Array.isArray(style) ? style : [style]),
        pressed ? { backgroundColor: palette.raised } : null,
        disabled ? { opacity: 0.35 } : null,
      ]}
    >
      <>{children}</>
    </TouchableRipple>
  );
}
