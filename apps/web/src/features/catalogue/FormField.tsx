import { Controller } from 'react-hook-form';
import { TextInput, View } from 'react-native';
import { font, target, usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import type { MountControl, MountField } from './mountForm';

type TextField = Exclude<MountField, 'type' | 'walls'>;

/** One line of the form with its fault under it; what was typed stays. */
export function FormField({
  control,
  name,
  label,
  hint,
  words,
}: {
  control: MountControl;
  name: TextField;
  label: string;
  hint?: string;
  /** Takes words, not numbers. */
  words?: boolean;
}) {
  const palette = usePalette();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <View
          style={{
            paddingHorizontal: 16,
            paddingTop: 6,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
            <View style={{ flex: 1 }}>
              <Txt>{label}</Txt>
              {hint ? (
                <Txt kind="small" soft>
                  {hint}
                </Txt>
              ) : null}
            </View>
            <TextInput
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              aria-label={label}
              aria-invalid={fieldState.invalid}
              testID={`form-${name}`}
              inputMode={words ? 'text' : 'decimal'}
              autoComplete="off"
              style={{
                ...(words ? font.text : font.figure),
                fontSize: 18,
                minHeight: target,
                width: words ? 190 : 150,
                color: palette.ink,
                textAlign: words ? 'left' : 'right',
                borderBottomWidth: 2,
                borderBottomColor: fieldState.invalid ? palette.stop : palette.ink,
              }}
            />
          </View>
          {fieldState.error?.message ? (
            <View role="alert">
              <Txt kind="small" color={palette.stop} testID={`fault-${name}`}>
                {fieldState.error.message}
              </Txt>
            </View>
          ) : null}
        </View>
      )}
    />
  );
}
