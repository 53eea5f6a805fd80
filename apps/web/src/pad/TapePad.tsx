import { memo, useCallback, useEffect, useRef } from 'react';
import { View, type TextInput } from 'react-native';
import { useFollowed } from '../data/followed';
import { hand } from '../data/hand';
import { journal } from '../data/shared';
import { useRoomContext } from '../state/roomState';
import { Icon } from '../ui/Icon';
import { IconTap } from '../ui/Action';
import { LineInput } from '../ui/LineInput';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { useBackCloses } from '../ui/useBackCloses';
import { stepOf, unitsFor, type Field } from './fields';
import { FRACTIONS, hasFractions } from './padKeys';
import { usePad } from './PadContext';
import { openPadOf, usePadEntry, type PadEntry } from './usePadEntry';

/** The tape pad: whole number keys and fraction keys, nudge, unit, next. No system keyboard. */
export function TapePad() {
  const { opened, close } = usePad();
  const field = opened?.fields[opened.index];
  return opened && field ? <OpenPad field={field} close={close} /> : null;
}

const GAP = 4;

function OpenPad({ field, close }: { field: Field; close: () => void }) {
  const palette = usePalette();
  const { opened, move } = usePad();
  const entry = usePadEntry(field);
  const left = useFollowed(hand) === 'left';
  const latest = useRef(entry);
  useEffect(() => {
    latest.current = entry;
  });
  const onKey = useCallback((key: string) => latest.current.key(key), []);
  useBackCloses(close);
  const { id } = useRoomContext();
  useEffect(() => () => journal.forgetDraft(openPadOf(id)), [id]);
  const last = useRef(field.path);
  useEffect(() => {
    last.current = field.path;
  }, [field.path]);
  // the focus goes back to the row that the entry stands in, never to the page
  useEffect(() => () => focusField(last.current), []);
  const isLast = !opened || opened.index >= opened.fields.length - 1;
  const take = () => {
    if (!entry.commit()) return;
    if (isLast || !opened) close();
    else move(opened.index + 1);
  };
  const done = () => {
    if (entry.commit()) close();
  };
  return (
    <View
      role="dialog"
      aria-label={field.label}
      testID="pad"
      style={{
        backgroundColor: palette.raised,
        borderTopWidth: 2,
        borderTopColor: palette.ink,
        padding: 6,
        gap: GAP,
      }}
    >
      <Display field={field} entry={entry} onEnter={take} onClose={close} />
      {entry.error ? (
        <Fault entry={entry} take={() => entry.perhaps && entry.commit(entry.perhaps.value) && close()} />
      ) : null}
      <Keys fractions={hasFractions(entry.unit)} signed={field.min < 0} left={left} onKey={onKey} />
      <View style={{ flexDirection: left ? 'row-reverse' : 'row', gap: GAP }}>
        <Key
          label={`less by ${stepOf(field, entry.unit).text}`}
          shown={`− ${stepOf(field, entry.unit).text}`}
          onPress={() => entry.nudge(-1)}
        />
        <Key
          label={`more by ${stepOf(field, entry.unit).text}`}
          shown={`+ ${stepOf(field, entry.unit).text}`}
          onPress={() => entry.nudge(1)}
        />
        <Key label="done" onPress={done} quiet />
        {isLast ? null : <NextKey onPress={take} name={opened?.fields[opened.index + 1]?.label ?? ''} />}
      </View>
    </View>
  );
}

function focusField(path: string): void {
  const row = document.querySelector<HTMLElement>(`[data-testid=${JSON.stringify(`field-${path}`)}]`);
  row?.focus({ preventScroll: true });
}

function Display({
  field,
  entry,
  onEnter,
  onClose,
}: {
  field: Field;
  entry: PadEntry;
  onEnter: () => void;
  onClose: () => void;
}) {
  const input = useRef<TextInput>(null);
  // what stands there is replaced by what is typed
  useEffect(() => {
    input.current?.focus();
    const select = () => {
      const typed = document.activeElement;
      if (typed instanceof HTMLInputElement) typed.select();
    };
    select();
    // the next field's number comes into the same line a moment later
    const later = setTimeout(select, 0);
    return () => clearTimeout(later);
  }, [field.path]);
  const units = unitsFor(field);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
      <View style={{ flex: 1, paddingLeft: 8 }}>
        <Txt kind="small" soft lines={2}>
          {field.hint ? `${field.label}, ${field.hint}` : field.label}
        </Txt>
        <LineInput
          inputRef={input}
          testID="pad-text"
          label={field.label}
          invalid={Boolean(entry.error)}
          inputMode="none"
          value={entry.text}
          onChangeText={entry.type}
          onSubmitEditing={onEnter}
          submitBehavior="submit"
          fontSize={24}
          height={38}
        />
      </View>
      {units.length > 1 ? (
        <Key label={`unit ${entry.unit}, change`} shown={entry.unit} onPress={entry.nextUnit} narrow />
      ) : (
        <Txt kind="bold">{entry.unit === 'deg' ? '°' : entry.unit === 'C' ? '°C' : entry.unit}</Txt>
      )}
      <IconTap icon="close" label="close the pad, keep what was typed" onPress={onClose} />
    </View>
  );
}

function Fault({ entry, take }: { entry: PadEntry; take: () => void }) {
  const palette = usePalette();
  return (
    <View role="alert" style={{ paddingHorizontal: 8, flexDirection: 'row', alignItems: 'center', gap: 8 }}>
      <View style={{ flex: 1 }}>
        <Txt kind="small" color={palette.stop} testID="pad-error">
          {entry.error}
        </Txt>
      </View>
      {entry.perhaps ? <Key label={`take it as ${entry.perhaps.unit}`} onPress={take} narrow /> : null}
    </View>
  );
}

interface KeysProps {
  fractions: boolean;
  signed: boolean;
  /** The fractions to the left of the digits, for the thumb that is there. */
  left: boolean;
  onKey: (key: string) => void;
}

/** The same keys as long as they are the same: what is typed draws none of them anew. */
const Keys = memo(function Keys({ fractions, signed, left, onKey }: KeysProps) {
  const extra = fractions ? [...FRACTIONS] : ['', '', '', '', '', '', ''];
  const rows = [
    ['7', '8', '9', extra[3] ?? '', extra[0] ?? ''],
    ['4', '5', '6', extra[1] ?? '', extra[2] ?? ''],
    ['1', '2', '3', extra[5] ?? '', extra[4] ?? ''],
    ['.', '0', 'back', signed ? 'sign' : '', extra[6] ?? ''],
  ].map((row) => {
    const [digits, others] = [row.slice(0, 3), row.slice(3).filter((k) => k !== '')];
    return left ? [...others.toReversed(), ...digits] : [...digits, ...others];
  });
  return (
    <>
      {rows.map((row, i) => (
        <View key={i} style={{ flexDirection: 'row', gap: GAP }}>
          {row.map((key) => (
            <Key
              key={key}
              label={NAMES[key] ?? key}
              shown={key === 'sign' ? '±' : key}
              icon={key === 'back'}
              soft={key.includes('/')}
              onPress={() => onKey(key)}
            />
          ))}
        </View>
      ))}
    </>
  );
});

const NAMES: Record<string, string> = { back: 'delete', sign: 'plus or minus', '.': 'point' };

function Key({
  label,
  shown,
  onPress,
  icon,
  soft,
  quiet,
  narrow,
}: {
  label: string;
  shown?: string;
  onPress: () => void;
  icon?: boolean;
  soft?: boolean;
  quiet?: boolean;
  narrow?: boolean;
}) {
  const palette = usePalette();
  return (
    <Tap
      label={label}
      onPress={onPress}
      testID={`key-${shown ?? label}`}
      style={{
        flex: narrow ? undefined : 1,
        minHeight: 48,
        minWidth: narrow ? 48 : 0,
        paddingHorizontal: narrow ? 12 : 2,
        alignItems: 'center',
        backgroundColor: soft ? palette.tape : palette.sheet,
        borderWidth: quiet ? 1.5 : 1,
        borderColor: quiet ? palette.ink : palette.hairline,
      }}
    >
      {icon ? (
        <Icon name="backspace" />
      ) : (
        <Txt
          kind={quiet ? 'bold' : 'figure'}
          color={soft ? palette.onTape : undefined}
          style={{ fontSize: quiet ? 17 : 18 }}
        >
          {shown ?? label}
        </Txt>
      )}
    </Tap>
  );
}

function NextKey({ onPress, name }: { onPress: () => void; name: string }) {
  const palette = usePalette();
  return (
    <Tap
      label={`take it, then ${name}`}
      testID="key-next"
      onPress={onPress}
      style={{ flex: 1.4, minWidth: 0, backgroundColor: palette.action, alignItems: 'center' }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
        <Txt kind="bold" color={palette.onAction}>
          next
        </Txt>
        <Icon name="next" size={18} color={palette.onAction} />
      </View>
    </Tap>
  );
}
