import { useState } from 'react';
import { View } from 'react-native';
import type { Item } from '@steddo/contract';
import { COVER_STEPS, type Command } from '@steddo/core';
import { lookStepText } from '@steddo/text';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { markOf, nextNumber } from '../../state/marks';

type StudSide = 'left' | 'right' | 'neither';
type Leaves = 'up' | 'down' | 'left' | 'right' | 'unseen';

/** An outlet's cover off is a look too: it shows the box's stud and which way the cables go. */
export function CoverSheet({ id, onClose }: { id: string; onClose: () => void }) {
  const { job, say, dispatch } = useRoomContext();
  const [at, setAt] = useState(0);
  const [side, setSide] = useState<StudSide>();
  const [leaves, setLeaves] = useState<Leaves>();
  const outlet = (job.room.objects ?? []).find((o) => o.id === id);
  if (!outlet) return null;
  const step = COVER_STEPS[at]!;
  const last = at === COVER_STEPS.length - 1;
  const waits = (step === 'stud-side' && !side) || (step === 'cables' && !leaves);
  const log = () => {
    const commands = seenBy(outlet, side, leaves, nextNumber(job));
    if (commands.length > 0) dispatch({ do: 'all', commands });
    onClose();
  };
  return (
    <BottomSheet title={`Cover off: ${outlet.name ?? outlet.kind}`} onClose={onClose} testID="cover-sheet">
      <View style={{ gap: 12 }}>
        <Txt kind="small" soft>{`step ${at + 1} of ${COVER_STEPS.length}`}</Txt>
        <Txt kind="bold">{lookStepText(step, undefined, say)}</Txt>
        {step === 'stud-side' ? (
          <Choice
            label="stud"
            options={[
              { value: 'left', name: 'on its left' },
              { value: 'right', name: 'on its right' },
              { value: 'neither', name: 'on neither' },
            ]}
            value={side}
            onChoose={setSide}
          />
        ) : null}
        {step === 'cables' ? (
          <Choice
            label="cables"
            options={[
              { value: 'up', name: 'up' },
              { value: 'down', name: 'down' },
              { value: 'left', name: 'left' },
              { value: 'right', name: 'right' },
              { value: 'unseen', name: 'cannot see' },
            ]}
            value={leaves}
            onChoose={setLeaves}
          />
        ) : null}
        <Action
          label={last ? 'log it' : 'done, next'}
          testID="cover-next"
          disabled={waits}
          onPress={last ? log : () => setAt(at + 1)}
        />
        {at > 0 ? <Action quiet label="a step back" onPress={() => setAt(at - 1)} /> : null}
      </View>
    </BottomSheet>
  );
}

/** The stud beside the box is evidence; the cables are seen, upright or along the wall. */
function seenBy(outlet: Item, side: StudSide | undefined, leaves: Leaves | undefined, number: number): Command[] {
  const at = new Date().toISOString();
  const y = (outlet.bottom + outlet.top) / 2;
  const commands: Command[] = [];
  if (side === 'left' || side === 'right') {
    const id = `e${number}`;
    const value = { ...markOf(`outlet-${side}`, id, side === 'left' ? outlet.left : outlet.right, y), at };
    commands.push({ do: 'put', path: `evidence.${id}`, value });
  }
  if (leaves && leaves !== 'unseen') {
    const id = `k${number + 1}`;
    const runs = leaves === 'up' || leaves === 'down' ? 'vertical' : 'horizontal';
    commands.push({
      do: 'put',
      path: `looks.${id}`,
      value: { id, x: (outlet.left + outlet.right) / 2, y, found: 'cable', runs, at },
    });
  }
  return commands;
}
