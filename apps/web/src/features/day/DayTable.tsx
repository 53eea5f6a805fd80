import { View } from 'react-native';
import type { DayStep } from '@steddo/contract';
import { dayStepText, minutesText, whoName } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { stepFacts } from '../../state/stepFacts';
import { StepRow } from '../../work/StepRow';

/** Every step in order: who, minutes, tools, and what it waits for. */
export function DayTable({ steps }: { steps: readonly DayStep[] }) {
  const { job, plan } = useRoomContext();
  const nameOf = (id: DayStep['id']) => dayStepText(id, stepFacts(id, job, plan)).name;
  const open = new Set(steps.filter((s) => !s.done).map((s) => s.id));
  return (
    <View testID="day-steps">
      {steps.map((s) => {
        const waits = s.after.filter((a) => open.has(a)).map(nameOf);
        const rule = [
          minutesText(s.minutes),
          ...(s.who === 'one' ? [] : [whoName(s.who)]),
          ...(s.tools.length > 0 ? [s.tools.join(', ')] : []),
        ].join(' · ');
        return (
          <StepRow
            key={s.id}
            step={s}
            rule={`${rule}.${!s.done && waits.length > 0 ? ` Waits for: ${waits.join(', ')}.` : ''}`}
          />
        );
      })}
    </View>
  );
}
