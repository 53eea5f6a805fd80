import { View } from 'react-native';
import type { Hole, Mark } from '@steddo/contract';
import { holeState } from '@steddo/core';
import { bitText, capital, certainName, unitText, type MarkWords } from '@steddo/text';
import { font } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';
import { BigFigure, Fact } from '../../work/BigFigure';
import { SkinNote } from '../../work/VehiclePart';
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
      <SkinNote />
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
      {mark.wall && !fromFirst ? (
        <BigFigure
          label={mark.wall === 'main' ? 'along the wall' : 'from the corner'}
          working={mark.workings.fromLeft}
        />
      ) : mark.wall ? null : (
        <BigFigure
          label="off the centre line"
          working={mark.workings.fromCentre}
          after={sideWord(mark.workings.fromCentre.value)}
        />
      )}
      <View style={{ flexDirection: 'row', columnGap: 18, flexWrap: 'wrap' }}>
        <Fact label="bit" text={bitText(hole.bit, say)} />
        <Fact label="depth, to the flag" text={say.length(hole.depth)} />
        <Fact
          label={certainName[hole.into]}
          text={hole.unmarked ? 'mark a joint first' : `${Math.floor(hole.probability * 100)} in 100`}
        />
        {hole.packing > 0 ? <Fact label="packing before it" text={say.length(hole.packing)} /> : null}
      </View>
      {hole.unit ? <Txt>{`${capital(unitText(hole, say))}.`}</Txt> : null}
      {words.steps.map((s, i) => (
        <Txt key={s}>{`${i + 1}. ${s}`}</Txt>
      ))}
    </View>
  );
}
