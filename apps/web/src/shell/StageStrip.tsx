import { Suspense, memo, useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { stageName } from '@steddo/text';
import { Icon } from '../ui/Icon';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { VerdictShape } from '../ui/Verdict';
import { useActions, useShown } from '../state/roomState';
import { sameContent } from '../ui/useSame';
import type { BuiltStage } from '../state/stageIds';
import { moveAmong } from '../ui/moveAmong';
import { stageState, stagesOf, type StageState } from '../state/stageNeeds';

const STAGE_PX = 92;

/** The stages as the blade of a tape: where the work is, what is done, what stops. */
export const StageStrip = memo(function StageStrip({ stage }: { stage: BuiltStage }) {
  const palette = usePalette();
  const { goTo } = useActions();
  const scroller = useRef<ScrollView>(null);
  const stages = useShown((s) => stagesOf(s.job, stage), sameContent);
  const before = stages.indexOf(stage) - 1;
  useEffect(() => {
    scroller.current?.scrollTo({ x: Math.max(0, before * STAGE_PX), animated: false });
  }, [before]);
  return (
    <View
      style={{
        backgroundColor: palette.tape,
        borderTopWidth: 1,
        borderBottomWidth: 1,
        borderColor: palette.tapeEdge,
      }}
    >
      <ScrollView
        ref={scroller}
        horizontal
        showsHorizontalScrollIndicator={false}
        role="tablist"
        aria-label="stages"
        {...{ onKeyDown: moveAmong }}
        contentContainerStyle={{ flexGrow: 1 }}
      >
        {stages.map((s) => (
          <StageTab key={s} stage={s} current={s === stage} onPress={() => goTo(s)} />
        ))}
      </ScrollView>
    </View>
  );
});

interface TabProps {
  stage: BuiltStage;
  current: boolean;
  onPress: () => void;
}

/** A stage is gone to whether or not it is known yet how far it is. */
function StageTab(tab: TabProps) {
  return (
    <Suspense fallback={<Tab {...tab} />}>
      <KnownTab {...tab} />
    </Suspense>
  );
}

function KnownTab(tab: TabProps) {
  const state = useShown((s) => stageState(tab.stage, s.job, s.plan), sameContent);
  return <Tab {...tab} state={state} />;
}

const stateWord = ({ needs, worst }: StageState): string =>
  worst === 'stop' ? 'stop' : needs ? 'not done' : worst === 'caution' ? 'mind' : worst === 'todo' ? 'to do' : 'done';

function Tab({ stage, current, onPress, state }: TabProps & { state?: StageState }) {
  const palette = usePalette();
  const ink = current ? palette.onAction : palette.onTape;
  return (
    <Tap
      role="tab"
      roving={!current}
      selected={current}
      label={state ? `${stageName[stage]}, ${stateWord(state)}` : stageName[stage]}
      testID={`stage-${stage}`}
      onPress={onPress}
      style={{
        minWidth: STAGE_PX,
        paddingHorizontal: 6,
        flexGrow: 1,
        backgroundColor: current ? palette.action : 'transparent',
        alignItems: 'center',
      }}
    >
      <Ticks ink={palette.onTape} hidden={current} />
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 5, marginTop: 6 }}>
        <Txt kind={current ? 'bold' : 'text'} color={ink}>
          {stageName[stage]}
        </Txt>
        {state?.worst === 'stop' ? (
          <VerdictShape verdict="stop" />
        ) : state?.worst === 'todo' ? (
          <OpenBox ink={ink} />
        ) : state?.needs === false ? (
          <Icon name="check" size={16} color={ink} />
        ) : null}
      </View>
    </Tap>
  );
}

/** Something is still to do at a stage: the shape of a to-do in the strip's own ink. */
const OpenBox = ({ ink }: { ink: string }) => (
  <svg width={14} height={14} viewBox="0 0 14 14" aria-hidden="true">
    <rect x={1.5} y={1.5} width={11} height={11} rx={1.5} fill="none" stroke={ink} strokeWidth={1.8} />
    <path d="M4.500 7h5" stroke={ink} strokeWidth={1.8} />
  </svg>
);

/** The divisions of the tape, along its upper edge. */
function Ticks({ ink, hidden }: { ink: string; hidden: boolean }) {
  if (hidden) return null;
  return (
    <svg
      width={STAGE_PX}
      height={9}
      viewBox={`0 0 ${STAGE_PX} 9`}
      style={{ position: 'absolute', top: 0, left: 0 }}
      aria-hidden="true"
    >
      <path
        d={Array.from({ length: 8 }, (_, i) => `M${i * 11.5 + 0.5} 0v${i === 0 ? 9 : i % 2 === 0 ? 6 : 4}`).join('')}
        stroke={ink}
        strokeOpacity={0.6}
      />
    </svg>
  );
}
