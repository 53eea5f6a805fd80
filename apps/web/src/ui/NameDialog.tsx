import { useState } from 'react';
import { Button, Dialog, HelperText, TextInput } from 'react-native-paper';
import { FLAT } from './BottomSheet';
import { Overlay } from './Overlay';
import { usePalette } from './tokens';

/** Asks for a name; an empty one is refused at the field and stays as it was typed. */
export function NameDialog({
  title,
  value,
  onTake,
  onClose,
  most = 200,
}: {
  title: string;
  value: string;
  onTake: (name: string) => void;
  onClose: () => void;
  /** Characters at most. */
  most?: number;
}) {
  const palette = usePalette();
  const [name, setName] = useState(value);
  const [refused, setRefused] = useState(false);
  const take = () => {
    if (name.trim() === '' || name.trim().length > most) {
      setRefused(true);
      return;
    }
    onTake(name.trim());
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
          <TextInput
            mode="outlined"
            aria-label={title}
            value={name}
            onChangeText={setName}
            onSubmitEditing={take}
            autoFocus
            selectTextOnFocus
            error={refused}
            testID="name-input"
          />
          <HelperText type="error" visible={refused}>
            {`Takes a name of 1 to ${most} characters.`}
          </HelperText>
        </Dialog.Content>
        <Dialog.Actions>
          <Button onPress={onClose} contentStyle={{ height: 48 }}>
            leave it
          </Button>
          <Button mode="contained" onPress={take} contentStyle={{ height: 48 }}>
            take it
          </Button>
        </Dialog.Actions>
      </Dialog>
    </Overlay>
  );
}
