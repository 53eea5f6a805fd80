import { Controller } from 'react-hook-form';
import { View } from 'react-native';
import { LineInput } from '../../ui/LineInput';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import type { MountControl, MountField } from './mountForm';

export type TextField = Exclude<MountField, 'type' | 'walls' | 'joint' | 'latch'>;

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
            <LineInput
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              label={label}
              invalid={fieldState.invalid}
              testID={`form-${name}`}
              inputMode={words ? 'text' : 'decimal'}
              words={words}
              toRight={!words}
              width={words ? 190 : 150}
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
