import { useState } from 'react';
import { View } from 'react-native';
import type { DayStep } from '@steddo/contract';
import { dayStepText } from '@steddo/text';
import { useRoomContext } from '../state/roomState';
import { stepFacts } from '../state/stepFacts';
import { noteOf, tickStep, untick } from '../state/ticks';
import { Switch } from '../ui/Switch';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { OpenPointDialog } from './OpenPointDialog';

/** One step with what is looked at, ticked with a tap, or said why it cannot be done; with a `rule` in its place. */
export function StepRow({ step, rule }: { step: Pick<DayStep, 'id' | 'done'>; rule?: string }) {
  const palette = usePalette();
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const [saying, setSaying] = useState(false);
  const { name, look } = dayStepText(step.id, stepFacts(step.id, job, plan));
  const note = noteOf(job, step.id);
  const ticked = (job.ticks ?? []).some((t) => t.step === step.id);
  return (
    <View testID={`step-${step.id}`} style={{ borderBottomWidth: 1, borderBottomColor: palette.hairline }}>
      <Switch
        label={name}
        note={[rule, note ? `open: ${note}` : step.done || rule ? undefined : look].filter(Boolean).join(' ')}
        bare
        on={step.done}
        testID={`tick-${step.id}`}
        // what shows that it was done by itself has no tick to take away
        disabled={readOnly || (step.done && !ticked)}
        onChange={(on) => dispatch(on ? tickStep(job, step.id) : untick(job, step.id))}
      />
      {step.done || readOnly || rule ? null : (
        <Tap
          label={`${name}: cannot be done`}
          testID={`cannot-${step.id}`}
          onPress={() => setSaying(true)}
          style={{ paddingLeft: 52, paddingRight: 16 }}
        >
          <Txt kind="small" style={{ textDecorationLine: 'underline' }}>
            cannot be done as it should
          </Txt>
        </Tap>
      )}
      {saying ? <OpenPointDialog step={step.id} onClose={() => setSaying(false)} /> : null}
    </View>
  );
}
