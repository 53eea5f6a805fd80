import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useCanvas } from '../../state/canvasState';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { SetChoice } from './SetChoices';
import { setSteps } from './steps';

/** One measure after the other, its line drawn strong on the set. */
export function SetGuide({ onClose }: { onClose: () => void }) {
  const { job } = useRoomContext();
  const { setAsk, setView } = useCanvas();
  const palette = usePalette();
  const steps = setSteps(job);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      steps.findIndex((s) => !s.known),
    ),
  );
  const step = steps[Math.min(at, steps.length - 1)]!;
  const { ask, view } = step;
  useEffect(() => {
    setAsk(ask);
    setView(view);
  }, [ask, view, setAsk, setView]);
  useEffect(() => () => setAsk('none'), [setAsk]);
  const last = at >= steps.length - 1;
  return (
    <View testID="set-guide">
      <View style={{ padding: 16, paddingBottom: 8, gap: 6 }}>
        <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
          <Txt kind="small" soft testID="guide-step">{`${at + 1} of ${steps.length}`}</Txt>
          {step.known ? <Icon name="check" size={18} /> : null}
        </View>
        <Txt kind="title" level={2}>
          {step.title}
        </Txt>
        <Txt>{step.how}</Txt>
      </View>
      <View style={{ borderTopWidth: 1, borderTopColor: palette.hairline }}>
        {step.field ? <TapeFields fields={[step.field]} /> : null}
        {step.choice ? <SetChoice which={step.choice} /> : null}
      </View>
      <View style={{ flexDirection: 'row', gap: 8, padding: 12 }}>
        <View style={{ flex: 1 }}>
          <Action
            quiet
            label={at === 0 ? 'all at once' : 'back'}
            onPress={() => (at === 0 ? onClose() : setAt(at - 1))}
          />
        </View>
        <View style={{ flex: 1 }}>
          <Action
            quiet
            testID="guide-next"
            label={last ? 'done' : step.known ? 'next' : 'later'}
            onPress={() => (last ? onClose() : setAt(at + 1))}
          />
        </View>
      </View>
    </View>
  );
}
