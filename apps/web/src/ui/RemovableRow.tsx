import type { ReactNode } from 'react';
import { View } from 'react-native';
import { IconTap } from './Action';
import { usePalette } from './tokens';
import { Txt } from './Txt';

export interface RemovableRowProps {
  text: string;
  /** Something to mind about it. */
  note?: string;
  /** What else can be done with it. */
  aside?: ReactNode;
  onRemove: () => void;
  removeLabel: string;
  disabled: boolean;
}

/** A line of a list, with a way to take it away; undo brings it back. */
export function RemovableRow({ text, note, aside, onRemove, removeLabel, disabled }: RemovableRowProps) {
  const palette = usePalette();
  return (
    <View
      testID="removable-row"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        paddingLeft: 16,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      <View style={{ flex: 1 }}>
        <Txt>{text}</Txt>
        {note ? (
          <Txt kind="small" color={palette.caution}>
            {note}
          </Txt>
        ) : null}
      </View>
      {aside}
      <IconTap icon="trash" label={removeLabel} disabled={disabled} onPress={onRemove} />
    </View>
  );
}
