import { View } from 'react-native';
import type { Working } from '@steddo/contract';
import { restsOnGuess } from '@steddo/core';
import { GuessBadge } from '../ui/GuessBadge';
import { TapeValue } from '../ui/TapeValue';
import { font } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { data } from '../ui/data';
import { useRoomContext } from '../state/roomState';

/** A measure to be read from a step-ladder. */
export function BigFigure({
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

/** What goes with a mark, in a line of its own. */
export const Fact = ({ label, text }: { label: string; text: string }) => (
  <View>
    <Txt kind="small" soft>
      {label}
    </Txt>
    <Txt style={{ ...font.figure, fontSize: 22, lineHeight: 30 }}>{text}</Txt>
  </View>
);
