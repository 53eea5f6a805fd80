import { Button, Dialog } from 'react-native-paper';
import { FLAT } from './BottomSheet';
import { Overlay } from './Overlay';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** Asks before something that cannot simply be taken back. */
export function ConfirmDialog({
  title,
  text,
  action,
  onTake,
  onClose,
}: {
  title: string;
  text: string;
  /** What is done, in the words of a button. */
  action: string;
  onTake: () => void;
  onClose: () => void;
}) {
  const palette = usePalette();
  const take = () => {
    onTake();
    onClose();
  };
  return (
    <Overlay label={title} onClose={onClose}>
      <Dialog
        visible
        onDismiss={onClose}
        style={{ backgroundColor: palette.sheet, maxWidth: 480, width: '92%', alignSelf: 'center', ...FLAT }}
      >
        <Dialog.Title>{title}</Dialog.Title>
        <Dialog.Content>
          <Txt>{text}</Txt>
        </Dialog.Content>
        <Dialog.Actions>
          <Button onPress={onClose} contentStyle={{ height: 48 }}>
            leave it
          </Button>
          <Button mode="contained" onPress={take} contentStyle={{ height: 48 }} testID="confirm">
            {action}
          </Button>
        </Dialog.Actions>
      </Dialog>
    </Overlay>
  );
}
