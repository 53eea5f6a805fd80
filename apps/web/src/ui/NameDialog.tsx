import { useState } from 'react';
import { HelperText, TextInput } from 'react-native-paper';
import { AskDialog } from './AskDialog';

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
    <AskDialog title={title} action="take it" onTake={take} onClose={onClose}>
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
    </AskDialog>
  );
}
