import type { ReactNode } from 'react';
import { Pressable, type ViewStyle } from 'react-native';
import { target, usePalette } from './tokens';

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
    <Pressable
      role={role}
      aria-label={label}
      aria-expanded={expanded}
      {...state}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [
        { minHeight: target, minWidth: target, justifyContent: 'center' },
        ...(Array.isArray(style) ? style : [style]),
        pressed ? { backgroundColor: palette.raised } : null,
        disabled ? { opacity: 0.35 } : null,
      ]}
    >
      {children}
    </Pressable>
  );
}
