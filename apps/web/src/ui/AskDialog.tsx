import type { ReactNode } from 'react';
import { Button, Dialog } from 'react-native-paper';
import { FLAT } from './BottomSheet';
import { Overlay } from './Overlay';
import { usePalette } from './tokens';

/** Something that is asked over the page: taken by its word, or left. */
export function AskDialog({
  title,
  action,
  onTake,
  onClose,
  children,
}: {
  title: string;
  /** What is done, in the words of a button. */
  action: string;
  onTake: () => void;
  onClose: () => void;
  children: ReactNode;
}) {
  const palette = usePalette();
  return (
    <Overlay label={title} onClose={onClose}>
      <Dialog
        visible
        onDismiss={onClose}
        style={{ backgroundColor: palette.sheet, maxWidth: 480, width: '92%', alignSelf: 'center', ...FLAT }}
      >
        <Dialog.Title>{title}</Dialog.Title>
        <Dialog.Content>{children}</Dialog.Content>
        <Dialog.Actions>
          <Button onPress={onClose} contentStyle={{ height: 48 }}>
            leave it
          </Button>
          <Button mode="contained" onPress={onTake} contentStyle={{ height: 48 }} testID="confirm">
            {action}
          </Button>
        </Dialog.Actions>
      </Dialog>
    </Overlay>
  );
}
