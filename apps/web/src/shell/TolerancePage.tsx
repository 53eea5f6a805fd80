import { lazy, Suspense } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { TolerancePlan } from '@steddo/contract';
import { rounded, toleranceAdvice } from '@steddo/text';
import { ToleranceTable } from '../features/tolerance/ToleranceTable';
import { useTolerance } from '../features/tolerance/useTolerance';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { ProgressBar } from '../ui/ProgressBar';
import { font, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { isBeside, type Posture } from '../ui/usePosture';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';

const SourceChart = lazy(async () => ({ default: (await import('../work/charts')).SourceChart }));

/** How sure the whole job is, from the tape to the finished plate, what matters most, and what to do about it. */
export function TolerancePage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ posture }) => <Tolerance id={id} posture={posture} />}</RoomFrame>;
}

function Tolerance({ id, posture }: { id: string; posture: Posture }) {
  const palette = usePalette();
  const { job } = useRoomContext();
  const { drawing, stop, again } = useTolerance(job);
  const leave = () => (router.canGoBack() ? router.back() : router.replace(`/room/${id}/holes`));
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="tolerance">
      <PageHead title={`How sure: ${job.title}`} back="back to the holes" onBack={leave} />
      {drawing.is === 'drawing' ? (
        <ProgressBar share={drawing.share} label="drawing the job twenty thousand times" onCancel={stop} />
      ) : drawing.is === 'none' ? (
        <View style={{ padding: 20, gap: 16 }}>
          <Txt kind="bold">Nothing is drawn: there are no holes, or it was called off.</Txt>
          <Action label="draw it" testID="draw-again" onPress={again} />
          <Action quiet label="the holes" onPress={() => router.replace(`/room/${id}/holes`)} />
        </View>
      ) : (
        <Result tolerance={drawing.tolerance} beside={isBeside(posture)} />
      )}
    </View>
  );
}

function Result({ tolerance, beside }: { tolerance: TolerancePlan; beside: boolean }) {
  const palette = usePalette();
  const { say } = useRoomContext();
  const advice = toleranceAdvice(tolerance, say);
  const summary = (
    <View style={{ paddingHorizontal: 16, paddingBottom: 8, gap: 6 }}>
      <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 10, flexWrap: 'wrap' }}>
        <Txt style={{ ...font.bold, fontSize: 44, lineHeight: 52 }} testID="all-land">
          {`${Math.floor(tolerance.allLand * 100)} in 100`}
        </Txt>
        <Txt>that every hole meets what it is meant for</Txt>
      </View>
      {advice ? (
        <View style={{ borderWidth: 1.5, borderColor: palette.action, padding: 10 }}>
          <Txt kind="bold" testID="tolerance-advice">
            {advice}
          </Txt>
        </View>
      ) : (
        <Txt>Nothing that the hand could do better would show.</Txt>
      )}
      <Fact name="height" text={`± ${rounded(tolerance.height, 1)} mm`} />
      <Fact name="centred" text={`± ${rounded(tolerance.centring, 1)} mm`} />
      <Fact name="level over the set, before the slots" text={`± ${rounded(tolerance.level, 1)} mm`} />
      <Fact name="within the play of the slots" text={`${Math.floor(tolerance.withinPlay * 100)} in 100`} />
      <Fact name="ends over 3 mm apart after it" text={`${Math.ceil(tolerance.over3 * 100)} in 100`} />
      <Txt kind="small" soft>
        ± is one standard deviation: two jobs in three are nearer. Hands and tools as they usually are; yours may be
        better.
      </Txt>
    </View>
  );
  const chart = (
    <>
      <View style={{ paddingHorizontal: 16 }}>
        <Txt kind="bold" level={2}>
          Jobs in a hundred where a hole misses
        </Txt>
        <Txt kind="small" soft>
          As it is, and with one error left out.
        </Txt>
      </View>
      <Suspense fallback={<Txt>…</Txt>}>
        <SourceChart tolerance={tolerance} />
      </Suspense>
      <ToleranceTable tolerance={tolerance} />
    </>
  );
  if (beside)
    return (
      <View style={{ flex: 1, flexDirection: 'row' }}>
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          {summary}
        </ScrollView>
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          {chart}
        </ScrollView>
      </View>
    );
  return (
    <ScrollView style={{ flex: 1 }} tabIndex={0}>
      {summary}
      {chart}
    </ScrollView>
  );
}

const Fact = ({ name, text }: { name: string; text: string }) => (
  <View style={{ flexDirection: 'row', gap: 10 }}>
    <View style={{ flex: 1 }}>
      <Txt>{name}</Txt>
    </View>
    <Txt kind="bold">{text}</Txt>
  </View>
);
