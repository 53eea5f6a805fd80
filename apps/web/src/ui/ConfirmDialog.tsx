import { AskDialog } from './AskDialog';
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
  const take = () => {
    onTake();
    onClose();
  };
  return (
    <AskDialog title={title} action={action} onTake={take} onClose={onClose}>
      <Txt>{text}</Txt>
    </AskDialog>
  );
}
