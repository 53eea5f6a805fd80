import { memo } from 'react';
import { View } from 'react-native';
import { stageName } from '@steddo/text';
import { Action } from '../ui/Action';
import { target, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Figure } from '../work/Figure';
import { armNumbers } from '../state/armNumbers';
import { useArm } from '../state/armState';
import { useActions, useJob, useShown } from '../state/roomState';
import { sameContent } from '../ui/useSame';
import type { BuiltStage } from '../state/stageIds';
import { nextStage, STAGE } from './stages';

/** Within the thumb's reach: the three numbers that matter now, and what comes next. */
export const ThumbBar = memo(function ThumbBar({ stage }: { stage: BuiltStage }) {
  const palette = usePalette();
  const late = useShown((s) => s.late !== undefined);
  return (
    <View
      testID="thumb-bar"
      style={{ backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}
    >
      <View style={{ flexDirection: 'row', opacity: late ? 0.4 : 1 }}>
        {[0, 1, 2].map((at) => (
          <BarPlace key={at} stage={stage} at={at} />
        ))}
      </View>
      <View style={{ padding: 6, paddingTop: 0 }}>
        <NextAction stage={stage} />
      </View>
    </View>
  );
});

function BarPlace({ stage, at }: { stage: BuiltStage; at: number }) {
  const palette = usePalette();
  const arm = useArm();
  const ofStage = useShown((s) => STAGE[stage].numbers(s.job, s.plan)[at]!, sameContent);
  const room = useJob((j) => j.room);
  const n = stage === 'reach' && arm.model ? armNumbers({ room }, arm)[at]! : ofStage;
  return (
    <View
      style={{
        flex: 1,
        paddingHorizontal: 10,
        borderLeftWidth: at === 0 ? 0 : 1,
        borderLeftColor: palette.hairline,
        minHeight: 64,
      }}
    >
      {n.working ? (
        <Figure
          label={n.label}
          working={n.working}
          size={21}
          {...(n.after ? { after: n.after } : {})}
          {...(n.as ? { as: n.as } : {})}
        />
      ) : (
        <View style={{ minHeight: target, paddingVertical: 4 }}>
          <Txt kind="small" soft>
            {n.label}
          </Txt>
          <Txt kind="figure" soft>
            –
          </Txt>
        </View>
      )}
    </View>
  );
}

function NextAction({ stage }: { stage: BuiltStage }) {
  const { goTo } = useActions();
  const next = useShown((s) => nextStage(stage, s.job, s.plan));
  return <Action label={stageName[next]} icon="next" testID="primary-action" onPress={() => goTo(next)} />;
}
