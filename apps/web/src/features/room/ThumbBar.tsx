import { View } from 'react-native';
import { stageName } from '@steddo/text';
import { Action } from '../../ui/Action';
import { target, usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { armNumbers } from '../reach/armNumbers';
import { useArm } from '../reach/ArmContext';
import { barNumbers } from './numbers';
import { useRoomContext } from './RoomContext';
import { nextStage, type BuiltStage } from './stages';

/** Within the thumb's reach: the three numbers that matter now, and what comes next. */
export function ThumbBar({ stage }: { stage: BuiltStage }) {
  const { job, plan, goTo } = useRoomContext();
  const arm = useArm();
  const palette = usePalette();
  const next = nextStage(stage, job, plan);
  return (
    <View
      testID="thumb-bar"
      style={{ backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}
    >
      <View style={{ flexDirection: 'row' }}>
        {(stage === 'reach' && arm.model ? armNumbers(job, arm) : barNumbers(stage, job, plan)).map((n, i) => (
          <View
            key={n.label}
            style={{
              flex: 1,
              paddingHorizontal: 10,
              borderLeftWidth: i === 0 ? 0 : 1,
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
        ))}
      </View>
      <View style={{ padding: 6, paddingTop: 0 }}>
        <Action label={stageName[next]} icon="next" testID="primary-action" onPress={() => goTo(next)} />
      </View>
    </View>
  );
}
