import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { journal } from '../data/shared';
import { useRoomContext } from '../state/roomState';
import { GuessBadge } from '../ui/GuessBadge';
import { steady } from '../ui/steady';
import { Tap } from '../ui/Tap';
import { TapeValue } from '../ui/TapeValue';
import { size, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { fieldText, type Field } from './fields';
import { usePad } from './PadContext';
import { draftOf, openPadOf } from './usePadEntry';

/** A row of fields, each opening the tape pad; the pad walks along them. */
export function TapeFields({ fields, from = 0, to }: { fields: Field[]; from?: number; to?: number }) {
  const { open } = usePad();
  useHalfTyped(fields, open);
  return (
    <>
      {fields.slice(from, to).map((field, i) => (
        <TapeField key={field.path} field={field} onPress={() => open(fields, from + i)} />
      ))}
    </>
  );
}

/** A tab that ended while something was half typed: the pad is open on it again. */
function useHalfTyped(fields: Field[], open: (fields: Field[], index: number) => void): void {
  const { id, readOnly } = useRoomContext();
  const done = useRef(false);
  useEffect(() => {
    if (readOnly || done.current) return;
    done.current = true;
    const path = journal.draft(openPadOf(id));
    const index = fields.findIndex((f) => f.path === path);
    if (index >= 0 && journal.draft(draftOf(id, path ?? '')) !== undefined) open(fields, index);
  }, [id, readOnly, fields, open]);
}

const TapeField = steady(function TapeField({ field, onPress }: { field: Field; onPress: () => void }) {
  const palette = usePalette();
  const { say, tape, readOnly } = useRoomContext();
  const { value, kind } = field;
  const words = value === undefined ? 'not yet' : fieldText(value, field, say);
  return (
    <Tap
      label={`${field.label}, ${words}${field.guess ? ', a guess' : ''}`}
      testID={`field-${field.path}`}
      disabled={readOnly}
      onPress={onPress}
      style={{
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
        paddingHorizontal: 16,
        minHeight: 52,
      }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
        <View style={{ flex: 1 }}>
          <Txt>{field.label}</Txt>
          {field.hint ? (
            <Txt kind="small" soft>
              {field.hint}
            </Txt>
          ) : null}
        </View>
        {field.guess ? <GuessBadge /> : null}
        {value === undefined ? (
          <Txt soft>measure</Txt>
        ) : kind === 'length' && !field.alwaysMm && !field.inInches ? (
          <TapeValue mm={value} tape={tape} size={size.figure} color={field.guess ? palette.soft : undefined} />
        ) : (
          <Txt kind="figure" color={field.guess ? palette.soft : undefined}>
            {words}
          </Txt>
        )}
      </View>
    </Tap>
  );
});
