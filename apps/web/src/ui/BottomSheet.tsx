import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Modal } from 'react-native-paper';
import { IconTap } from './Action';
import { Overlay } from './Overlay';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** No shadow: rules part things here. */
export const FLAT = { boxShadow: 'none' } as const;

/** A sheet over the lower part of the screen, whatever scrolls below it; Back, Escape, its cross or a tap beside it close it. */
export function BottomSheet({
  title,
  onClose,
  children,
  testID,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  testID?: string;
}) {
  const palette = usePalette();
  return (
    <Overlay label={title} onClose={onClose} testID={testID}>
      <Modal
        visible
        onDismiss={onClose}
        overlayAccessibilityLabel={`close: ${title}`}
        style={{ justifyContent: 'flex-end' }}
        contentContainerStyle={{
          backgroundColor: palette.sheet,
          borderTopWidth: 2,
          borderTopColor: palette.ink,
          maxHeight: '75%',
          width: '100%',
          maxWidth: 560,
          alignSelf: 'center',
          justifyContent: 'flex-start',
          ...FLAT,
        }}
      >
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingLeft: 16,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flex: 1 }}>
            <Txt kind="title" level={2}>
              {title}
            </Txt>
          </View>
          <IconTap icon="close" label="close" onPress={onClose} />
        </View>
        <ScrollView tabIndex={0} contentContainerStyle={{ padding: 16, paddingBottom: 28 }}>
          {children}
        </ScrollView>
      </Modal>
    </Overlay>
  );
}
