import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { Pressable, ScrollView, View, type ViewStyle } from 'react-native';
import { IconTap } from './Action';
import { usePalette } from './tokens';
import { Txt } from './Txt';
import { useBackCloses } from './useBackCloses';

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
  useBackCloses(onClose);
  return createPortal(
    <View style={FIXED}>
      <Pressable
        aria-hidden
        tabIndex={-1}
        onPress={onClose}
        style={{ position: 'absolute', inset: 0, backgroundColor: palette.shade }}
      />
      <View
        role="dialog"
        aria-label={title}
        testID={testID}
        style={{
          backgroundColor: palette.sheet,
          borderTopWidth: 2,
          borderTopColor: palette.ink,
          maxHeight: '75%',
          width: '100%',
          maxWidth: 560,
          alignSelf: 'center',
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
      </View>
    </View>,
    document.body,
  );
}

/** On the window itself; React Native's types do not know it, its web target does. */
const FIXED = { position: 'fixed', inset: 0, zIndex: 20, justifyContent: 'flex-end' } as unknown as ViewStyle;
