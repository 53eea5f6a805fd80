import { View } from 'react-native';
import type { Hole, Mark, Working } from '@steddo/contract';
import { holeState, restsOnGuess } from '@steddo/core';
import { bitText, type MarkWords, certainName } from '@steddo/text';
import { GuessBadge } from '../../ui/GuessBadge';
import { TapeValue } from '../../ui/TapeValue';
import { font } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { data } from '../../ui/data';
import { sideWord } from '../../state/barNumbers';
import { useRoomContext } from '../../state/roomState';

/** Nearer than this to the line nobody tells, mm. */
const LEVEL_MM = 0.5;

/** The figures of one mark, large: from the floor for the first, from the level line for the rest. */
export function MarkFace({ hole, mark, words }: { hole: Hole; mark: Mark; words: MarkWords }) {
  const { say } = useRoomContext();
  const { belowLine, fromFirst } = hole.workings;
  return (
    <View style={{ paddingHorizontal: 14, paddingVertical: 8, gap: 4 }} testID="mark-face">
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold">{words.name}</Txt>
        </View>
        <Verdict verdict={holeState(hole)} />
      </View>
      <Txt kind="small">{words.mind}</Txt>
      {belowLine && fromFirst ? (
        <>
          {Math.abs(belowLine.value) < LEVEL_MM ? (
            <Txt style={{ ...font.bold, fontSize: 30, lineHeight: 38 }} testID="on-the-level">
              on the level line
            </Txt>
          ) : (
            <BigFigure
              label={belowLine.value > 0 ? 'below the level line' : 'above the level line'}
              working={belowLine}
              big
            />
          )}
          {Math.abs(fromFirst.value) < LEVEL_MM ? (
            <Txt kind="title">straight below the first hole</Txt>
          ) : (
            <BigFigure
              label="from the first hole"
              working={fromFirst}
              after={sideWord(fromFirst.value)}
              big={Math.abs(belowLine.value) < LEVEL_MM}
            />
          )}
        </>
      ) : (
        <BigFigure label="up from the floor" working={mark.workings.fromFloor} big />
      )}
      <BigFigure
        label="off the centre line"
        working={mark.workings.fromCentre}
        after={sideWord(mark.workings.fromCentre.value)}
      />
      <View style={{ flexDirection: 'row', columnGap: 18, flexWrap: 'wrap' }}>
        <Fact label="bit" text={bitText(hole.bit, say)} />
        <Fact label="depth, to the flag" text={say.length(hole.depth)} />
        <Fact
          label={certainName[hole.into]}
          text={hole.unmarked ? 'mark a joint first' : `${Math.floor(hole.probability * 100)} in 100`}
        />
      </View>
      {words.steps.map((s, i) => (
        <Txt key={s}>{`${i + 1}. ${s}`}</Txt>
      ))}
    </View>
  );
}

function BigFigure({
  label,
  working,
  after,
  big,
}: {
  label: string;
  working: Working;
  after?: string | undefined;
  big?: boolean;
}) {
  const { tape, job } = useRoomContext();
  const guess = restsOnGuess(working, job.guessed ?? []);
  return (
    <View testID={`big-${label}`} {...data({ value: working.value })}>
      <Txt kind="small" soft>
        {label}
      </Txt>
      <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 10 }}>
        <TapeValue mm={Math.abs(working.value)} tape={tape} size={big ? 54 : 34} />
        {after ? <Txt style={{ ...font.bold, fontSize: 26, lineHeight: 32 }}>{after}</Txt> : null}
        {guess ? <GuessBadge /> : null}
      </View>
    </View>
  );
}

const Fact = ({ label, text }: { label: string; text: string }) => (
  <View>
    <Txt kind="small" soft>
      {label}
    </Txt>
    <Txt style={{ ...font.figure, fontSize: 22, lineHeight: 30 }}>{text}</Txt>
  </View>
);
