import { useFormState } from 'react-hook-form';
import { Fold } from '../../ui/Fold';
import { FormField, type TextField } from './FormField';
import type { MountControl } from './mountForm';

export interface FormLine {
  name: TextField;
  label: string;
  hint?: string;
  words?: boolean;
}

/** Lines of the form under one name; open while one of them has to be mended, and shown then whatever is `asked`. */
export function FormFold({
  control,
  name,
  lines,
  asked = true,
}: {
  control: MountControl;
  name: string;
  lines: readonly FormLine[];
  /** The label can say something of it. */
  asked?: boolean;
}) {
  const { errors } = useFormState({ control });
  const faulty = lines.some((l) => errors[l.name] !== undefined);
  if (!asked && !faulty) return null;
  return (
    <Fold name={name} hold={faulty}>
      {lines.map((l) => (
        <FormField key={l.name} control={control} {...l} />
      ))}
    </Fold>
  );
}
