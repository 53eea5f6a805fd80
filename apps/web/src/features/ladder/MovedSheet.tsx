import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Tap } from '../../ui/Tap';
import { data } from '../../ui/data';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

/** A drill that moves further has made another hole, mm. */
const MOST_MM = 60;

/** How far the hole is off its mark, in steps of the tape, with one thumb. */
export function MovedSheet({
  onClose,
  onTake,
}: {
  onClose: () => void;
  onTake: (by: { x: number; y: number }) => void;
}) {
  const { say, job } = useRoomContext();
  const step = job.units === 'imperial' ? 25.4 / 16 : 1;
  const [steps, setSteps] = useState({ x: 0, y: 0 });
  const by = { x: steps.x * step, y: steps.y * step };
  const most = Math.floor(MOST_MM / step);
  const nudge = (axis: 'x' | 'y', n: number) =>
    setSteps((s) => (Math.abs(s[axis] + n) > most ? s : { ...s, [axis]: s[axis] + n }));
  const words = (mm: number, plus: string, minus: string) =>
    mm === 0 ? 'not moved' : `${say.length(Math.abs(mm))} ${mm > 0 ? plus : minus}`;
  return (
    <BottomSheet title="where is the hole now?" onClose={onClose} testID="moved-sheet">
      <View style={{ gap: 12 }}>
        <Line
          label={`${words(by.x, 'to the right', 'to the left')}`}
          value={by.x}
          less="left"
          more="right"
          onNudge={(n) => nudge('x', n)}
        />
        <Line
          label={`${words(by.y, 'higher', 'lower')}`}
          value={by.y}
          less="lower"
          more="higher"
          onNudge={(n) => nudge('y', n)}
        />
        <Txt kind="small" soft>
          Measured from the mark. The rest is planned around it; a hole that nothing can use is left.
        </Txt>
        <Action
          label="it is there"
          testID="moved-take"
          disabled={steps.x === 0 && steps.y === 0}
          onPress={() => onTake(by)}
        />
      </View>
    </BottomSheet>
  );
}

const BIG = 5;

function Line({
  label,
  value,
  less,
  more,
  onNudge,
}: {
  label: string;
  value: number;
  less: string;
  more: string;
  onNudge: (n: number) => void;
}) {
  const palette = usePalette();
  const key = (n: number, word: string) => (
    <Tap
      key={n}
      label={`${Math.abs(n)} ${word}`}
      testID={`nudge-${word}-${Math.abs(n)}`}
      onPress={() => onNudge(n)}
      style={{ flex: 1, alignItems: 'center', borderWidth: 1, borderColor: palette.ink, minHeight: 56 }}
    >
      <Txt kind="bold">{`${Math.abs(n) === BIG ? `${BIG} ` : ''}${word}`}</Txt>
    </Tap>
  );
  return (
    <View style={{ gap: 6 }}>
      <View {...data({ value })} testID={`moved-${more}`}>
        <Txt kind="title">{label}</Txt>
      </View>
      <View style={{ flexDirection: 'row', gap: 6 }}>
        {[key(-BIG, less), key(-1, less), key(1, more), key(BIG, more)]}
      </View>
    </View>
  );
}
