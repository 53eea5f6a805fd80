import { View } from 'react-native';
import { useRoomContext } from '../state/roomState';
import { tickAll } from '../state/ticks';
import { Action } from '../ui/Action';
import { Txt } from '../ui/Txt';
import { StepRow } from './StepRow';

/** The steps of a part of the day, with one tap for those who need no list. */
export function StepList({ part, all }: { part: 'fit' | 'over'; all: string }) {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const steps = (plan.day?.steps ?? []).filter((s) => s.id.startsWith(`${part}.`));
  const open = steps.filter((s) => !s.done);
  if (steps.length === 0) return null;
  return (
    <View testID={`steps-${part}`}>
      {steps.map((s) => (
        <StepRow key={s.id} step={s} />
      ))}
      {open.length > 1 && !readOnly ? (
        <View style={{ padding: 12 }}>
          <Action quiet label={all} testID={`all-${part}`} onPress={() => dispatch(tickAll(job, open))} />
        </View>
      ) : open.length === 0 ? (
        <View style={{ padding: 16 }}>
          <Txt kind="small" soft>
            All of it is ticked.
          </Txt>
        </View>
      ) : null}
    </View>
  );
}
