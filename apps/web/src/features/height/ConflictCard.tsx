import { View } from 'react-native';
import type { Conflict } from '@steddo/contract';
import { CEILING_GAP_MM, type Command } from '@steddo/core';
import { Action } from '../../ui/Action';
import { useRoomContext } from '../../state/roomState';

/** When no height works: the least that gives way, in one tap where the installer can decide it. */
export function ConflictCard({ conflict }: { conflict: Conflict }) {
  const { job, plan, dispatch, readOnly, say } = useRoomContext();
  const ceiling = conflict.relax?.length === 1 ? conflict.relax.find((r) => r.by === 'ceiling') : undefined;
  const { sideways } = conflict;
  const offBy = sideways === undefined ? 0 : sideways - (plan.placement?.centre.x ?? sideways);
  if (!ceiling && sideways === undefined) return null;
  const lessGap = (amount: number): Command => ({
    do: 'put',
    path: 'aim.ceilingGap',
    value: Math.max(0, (job.aim.ceilingGap ?? CEILING_GAP_MM) - amount),
  });
  return (
    <View style={{ padding: 12, gap: 8 }} testID="conflict">
      {ceiling ? (
        <Action
          quiet
          disabled={readOnly}
          label={`leave ${say.length(ceiling.amount)} less under the ceiling`}
          onPress={() => dispatch(lessGap(ceiling.amount))}
        />
      ) : null}
      {sideways === undefined ? null : (
        <Action
          quiet
          testID="go-sideways"
          disabled={readOnly}
          label={`move the set ${say.length(Math.abs(offBy))} to the ${offBy < 0 ? 'left' : 'right'}`}
          onPress={() => dispatch({ do: 'put', path: 'choices.centreX', value: sideways })}
        />
      )}
    </View>
  );
}
