import { useState } from 'react';
import { View } from 'react-native';
import type { Working } from '@steddo/contract';
import { opWord, sentenceFor, sourceWords, termOf, workingLine, type Wording } from '@steddo/text';
import { useRoomContext } from '../state/roomState';
import { BottomSheet } from '../ui/BottomSheet';
import { data } from '../ui/data';
import { GuessBadge } from '../ui/GuessBadge';
import { Icon } from '../ui/Icon';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { useWorking } from './WorkingContext';

/** The line of arithmetic behind a number, each part of it opening its own, back to what was measured. */
export function WorkingSheet() {
  const { opened, close } = useWorking();
  const { say } = useRoomContext();
  if (!opened) return null;
  const sentence = sentenceFor(opened.title);
  return (
    <BottomSheet title={`how ${opened.title} came`} onClose={close} testID="working-sheet">
      <Txt kind="bold" style={{ marginBottom: 8 }} testID="working-line">
        {workingLine(opened.working, say)}
      </Txt>
      <WorkingNode working={opened.working} say={say} depth={0} />
      {sentence ? (
        <View style={{ paddingTop: 12 }} testID="word">
          <Txt soft>{sentence}</Txt>
        </View>
      ) : null}
    </BottomSheet>
  );
}

function WorkingNode({ working, say, depth }: { working: Working; say: Wording; depth: number }) {
  const palette = usePalette();
  const [open, setOpen] = useState(depth === 0);
  const { terms, op } = working;
  const guess = useGuess(working);
  const shown = say.value(working.value, working.unit);
  return (
    <View
      testID="working-node"
      {...data({ value: working.value, unit: working.unit, op, path: working.path })}
      style={{
        borderLeftWidth: depth === 0 ? 0 : 2,
        borderLeftColor: palette.hairline,
        paddingLeft: depth === 0 ? 0 : 10,
      }}
    >
      {terms ? (
        <Tap
          label={`${termOf(working.label)} ${shown}, ${open ? 'hide' : 'show'} its parts`}
          expanded={open}
          onPress={() => setOpen(!open)}
        >
          <Row name={termOf(working.label)} value={shown} note={op ? opWord[op] : ''} icon={open ? 'up' : 'down'} />
        </Tap>
      ) : (
        <View style={{ minHeight: 40, justifyContent: 'center' }}>
          <Row
            name={termOf(working.label)}
            value={shown}
            note={working.path ? sourceWords(working.path) : ''}
            guess={guess}
          />
        </View>
      )}
      {open ? terms?.map((t, i) => <WorkingNode key={i} working={t} say={say} depth={depth + 1} />) : null}
    </View>
  );
}

function useGuess(working: Working): boolean {
  const { job } = useRoomContext();
  return Boolean(working.guess || (working.path && job.guessed?.includes(working.path)));
}

function Row({
  name,
  value,
  note,
  icon,
  guess,
}: {
  name: string;
  value: string;
  note: string;
  icon?: 'up' | 'down';
  guess?: boolean;
}) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
      <View style={{ flex: 1 }}>
        <Txt>{name}</Txt>
        {note ? (
          <Txt kind="small" soft>
            {note}
          </Txt>
        ) : null}
      </View>
      {guess ? <GuessBadge /> : null}
      <Txt kind="bold">{value}</Txt>
      {icon ? <Icon name={icon} size={20} /> : <View style={{ width: 20 }} />}
    </View>
  );
}
