import { View } from 'react-native';
import type { Job, Viewer } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { usePad } from '../../pad/PadContext';
import { Action } from '../../ui/Action';
import { RemovableRow } from '../../ui/RemovableRow';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

const TRIES = 6;

/** Settle, eyes shut; open them: what they meet is a mark. Several tries, everybody, each counts once. */
export function SettledMarks() {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const { open } = usePad();
  const viewers = job.room.viewers ?? [];
  return (
    <View testID="settled">
      <View style={{ padding: 16, paddingBottom: 4 }}>
        <Txt kind="small" soft>
          Settle in the seat with eyes shut, gaze level. Open them, and mark what they meet on the wall. A few tries
          each.
        </Txt>
      </View>
      {viewers.map((v) => (
        <View key={v.id}>
          {(v.settled ?? []).map((mm, i) => (
            <RemovableRow
              key={i}
              text={`${v.name ?? v.id}: ${say.length(mm)}`}
              removeLabel={`take this mark of ${v.name ?? v.id} away`}
              disabled={readOnly}
              onRemove={() => dispatch(withoutMark(v, i))}
            />
          ))}
          <View style={{ padding: 12, paddingVertical: 6 }}>
            <Action
              quiet
              testID={`settle-${v.id}`}
              label={`mark for ${v.name ?? v.id}`}
              disabled={readOnly}
              onPress={() => open(tries(job, v), 0)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

const withoutMark = (v: Viewer, index: number): Command => {
  const left = (v.settled ?? []).filter((_, i) => i !== index);
  const path = `room.viewers.${v.id}.settled` as const;
  return left.length > 0 ? { do: 'put', path, value: left } : { do: 'drop', path };
};

/** The pad walks from try to try; each is one more mark. */
function tries(job: Job, v: Viewer): Field[] {
  const before = (v.settled ?? []).length;
  return Array.from({ length: TRIES }, (_, i) => ({
    path: `room.viewers.${v.id}.settled.${before + i}`,
    label: `${v.name ?? v.id}, try ${before + i + 1}`,
    hint: 'from the floor',
    kind: 'length' as const,
    min: 200,
    max: job.room.wall.height,
    command: (value: number, now: Job): Command => {
      const known = now.room.viewers?.find((o) => o.id === v.id)?.settled ?? [];
      const next = [...known];
      next[Math.min(before + i, known.length)] = value;
      return { do: 'put', path: `room.viewers.${v.id}.settled`, value: next };
    },
  }));
}
