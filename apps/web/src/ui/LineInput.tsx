import type { ComponentProps, Ref } from 'react';
import type { TextInput as Native } from 'react-native';
import { TextInput } from 'react-native-paper';
import { rem } from './rem';
import { font, size, usePalette } from './tokens';

type PaperProps = ComponentProps<typeof TextInput>;

export interface LineInputProps extends Pick<
  PaperProps,
  'value' | 'onChangeText' | 'onBlur' | 'onSubmitEditing' | 'inputMode' | 'placeholder' | 'submitBehavior' | 'autoFocus'
> {
  label: string;
  invalid?: boolean;
  /** Takes words, not figures: in the text's face, from the left. */
  words?: boolean;
  /** Shown as dots, and remembered by no browser. */
  secret?: boolean;
  /** Letter for letter: nothing of it is corrected or made a capital. */
  exact?: boolean;
  toRight?: boolean;
  fontSize?: number;
  height?: number;
  width?: number;
  testID: string;
  inputRef?: Ref<Native>;
}

/** A line to write on, as on paper: nothing round it, red under it when what it says cannot be taken. */
export function LineInput(props: LineInputProps) {
  const {
    label,
    invalid,
    words,
    secret,
    exact,
    toRight,
    fontSize = size.text + 2,
    height = 48,
    width,
    inputRef,
    ...rest
  } = props;
  const palette = usePalette();
  return (
    <TextInput
      {...rest}
      // the web target knows only the older name: a line that is to keep the focus keeps it
      blurOnSubmit={rest.submitBehavior !== 'submit'}
      ref={inputRef as never}
      mode="flat"
      dense
      aria-label={label}
      aria-invalid={Boolean(invalid)}
      autoComplete={secret ? 'new-password' : 'off'}
      secureTextEntry={Boolean(secret)}
      {...(exact ? { autoCapitalize: 'none' as const, autoCorrect: false, spellCheck: false } : {})}
      error={Boolean(invalid)}
      textColor={palette.ink}
      placeholderTextColor={palette.soft}
      underlineColor={palette.ink}
      activeUnderlineColor={palette.action}
      selectionColor={palette.tape}
      cursorColor={palette.ink}
      style={{ backgroundColor: 'transparent', height, width }}
      contentStyle={{
        ...(words ? font.text : font.figure),
        fontSize: rem(fontSize),
        minHeight: height,
        paddingLeft: 2,
        paddingRight: 2,
        // the line below shows where one writes
        ...({ outlineStyle: 'none' } as object),
        textAlign: toRight ? 'right' : 'left',
      }}
    />
  );
}
