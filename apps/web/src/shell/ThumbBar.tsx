import { Suspense, memo } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { stageName } from '@steddo/text';
import { Action } from '../ui/Action';
import type { IconName } from '../ui/Icon';
import { rem } from '../ui/rem';
import { target, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Figure } from '../work/Figure';
import { armNumbers } from '../state/armNumbers';
import { useArm } from '../state/armState';
import { useActions, useJob, useShown } from '../state/roomState';
import { sameContent } from '../ui/useSame';
import type { BuiltStage } from '../state/stageIds';
import { nextStep, type NextStep } from '../state/nextStep';
import { STAGE } from './stages';

/** Within the thumb's reach: the three numbers that matter now, and what comes next. */
export const ThumbBar = memo(function ThumbBar({ stage }: { stage: BuiltStage }) {
  const palette = usePalette();
  return (
    <View style={{ backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}>
      <BarNumbers stage={stage} bare />
      <View style={{ padding: 6, paddingTop: 0 }}>
        <NextAction stage={stage} />
      </View>
    </View>
  );
});

/** The three numbers that matter now; below each other where type is large. */
export function BarNumbers({ stage, bare }: { stage: BuiltStage; bare?: boolean }) {
  const palette = usePalette();
  const late = useShown((s) => s.late !== undefined);
  const edge = bare ? {} : { backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink };
  return (
    <View testID="thumb-bar" style={{ flexDirection: 'row', flexWrap: 'wrap', opacity: late ? 0.4 : 1, ...edge }}>
      {[0, 1, 2].map((at) => (
        <BarPlace key={at} stage={stage} at={at} />
      ))}
    </View>
  );
}

function BarPlace({ stage, at }: { stage: BuiltStage; at: number }) {
  const palette = usePalette();
  return (
    <View
      style={{
        flexGrow: 1,
        flexShrink: 1,
        flexBasis: rem(110),
        paddingHorizontal: 10,
        borderLeftWidth: at === 0 ? 0 : 1,
        borderLeftColor: palette.hairline,
        minHeight: 64,
      }}
    >
      <Suspense fallback={<NoNumber label="…" />}>
        <KnownNumber stage={stage} at={at} />
      </Suspense>
    </View>
  );
}

function KnownNumber({ stage, at }: { stage: BuiltStage; at: number }) {
  const arm = useArm();
  const ofStage = useShown((s) => STAGE[stage].numbers(s.job, s.plan)[at]!, sameContent);
  const room = useJob((j) => j.room);
  const n = stage === 'reach' && arm.model ? armNumbers({ room }, arm)[at]! : ofStage;
  if (!n.working) return <NoNumber label={n.label} />;
  return (
    <Figure
      label={n.label}
      working={n.working}
      size={21}
      {...(n.after ? { after: n.after } : {})}
      {...(n.as ? { as: n.as } : {})}
    />
  );
}

function NoNumber({ label }: { label: string }) {
  return (
    <View style={{ minHeight: target, paddingVertical: 4 }}>
      <Txt kind="small" soft>
        {label}
      </Txt>
      <Txt kind="figure" soft>
        –
      </Txt>
    </View>
  );
}

/** The next thing that is not done, by its name; what it is, is known with the first plan. */
export function NextAction({ stage }: { stage: BuiltStage }) {
  return (
    <Suspense
      fallback={<Action label="Being worked out…" disabled testID="primary-action" onPress={() => undefined} />}
    >
      <KnownAction stage={stage} />
    </Suspense>
  );
}

function KnownAction({ stage }: { stage: BuiltStage }) {
  const { goTo } = useActions();
  const id = useShown((s) => s.id);
  const next = useShown((s) => nextStep(stage, s.job, s.plan), sameContent);
  const go = () => {
    switch (next.to) {
      case 'stage':
        return goTo(next.stage);
      case 'ladder':
        return router.push(`/room/${id}/ladder`);
      case 'box':
        return router.push(`/room/${id}/box`);
      case 'timber':
        return router.push(`/room/${id}/timber`);
      case 'hanging':
        return router.push(`/room/${id}/hanging`);
      case 'done':
        return router.push(`/room/${id}/done`);
      case 'here':
        return showStop();
    }
  };
  return <Action label={wordsFor(next)} icon={iconFor(next)} testID="primary-action" onPress={go} />;
}

function wordsFor(next: NextStep): string {
  switch (next.to) {
    case 'stage':
      return stageName[next.stage];
    case 'box':
      return `The box first, ${next.left === 1 ? 'one step' : `${next.left} steps`}`;
    case 'timber':
      return `The timber first, ${next.left === 1 ? 'one hole' : `${next.left} holes`}`;
    case 'ladder':
      return `At the wall, ${next.left === 1 ? 'one hole' : `${next.left} holes`}`;
    case 'hanging':
      return `Hang it, ${next.left === 1 ? 'one step' : `${next.left} steps`}`;
    case 'done':
      return 'Done';
    case 'here':
      return 'See what stops';
  }
}

const iconFor = ({ to }: NextStep): IconName => (to === 'done' ? 'check' : to === 'here' ? 'up' : 'next');

/** Brings the first stop of the stage into view, and the focus to it. */
function showStop(): void {
  const stop = document.querySelector<HTMLElement>('[data-testid="panel"] [data-level="stop"]');
  stop?.scrollIntoView({ block: 'center' });
  stop?.focus({ preventScroll: true });
}
