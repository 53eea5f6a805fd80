import { View } from 'react-native';
import { router } from 'expo-router';
import type { MantelHole, MantelPlan } from '@steddo/contract';
import { boltState } from '@steddo/core';
import { mantelScene } from '@steddo/drawing';
import { MANTEL_AFTER, capital, mantelWords, resultName } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { JointTick } from '../features/ladder/JointTick';
import { tick } from '../features/ladder/ladderAt';
import type { RoomState } from '../data/rooms';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { font, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { BigFigure } from '../work/BigFigure';
import { AtMark } from './AtMark';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomScreen';
import { SaveState } from './SaveState';

/** At the wall with the timber of a hollow mantel: its holes one at a time, then the shell. */
export function MantelPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state, posture }) => <Mantel state={state} posture={posture} />}</RoomFrame>;
}

function Mantel({ state, posture }: { state: RoomState; posture: Posture }) {
  const { id } = state;
  const { job, plan } = useRoomContext();
  const palette = usePalette();
  const { mantel } = plan;
  const holes = mantel?.holes ?? [];
  const hole = holes.find((h) => !h.done);
  const scene = mantelScene(job, plan, hole?.id);
  const leave = () => (router.canGoBack() ? router.back() : router.replace(`/room/${id}/holes`));
  const title = hole
    ? `Mantel: mark ${holes.indexOf(hole) + 1} of ${holes.length}`
    : holes.length > 0
      ? 'Now the shell'
      : 'No timber to drill';
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="mantel">
      <PageHead title={title} back="back to the holes" onBack={leave} under={<SaveState state={state} />} />
      {scene && mantel && hole ? (
        <AtMark
          posture={posture}
          drawing={
            <Drawing
              scene={scene}
              box={scene.focus}
              label="the timber over its courses"
              testID="mantel-timber"
              units={job.units}
            />
          }
          face={<HoleFace mantel={mantel} hole={hole} />}
          other={<JointTick at={{ ...hole, into: 'masonry', fixing: { diameter: mantel.fixing?.diameter ?? 0 } }} />}
          good={<Good hole={hole} mantel={mantel} />}
        />
      ) : (
        <View style={{ flex: 1, padding: 20, gap: 16, justifyContent: 'center' }}>
          {holes.length > 0 ? (
            MANTEL_AFTER.map((text, i) => <Txt key={text} kind={i === 0 ? 'bold' : 'text'}>{`${i + 1}. ${text}`}</Txt>)
          ) : (
            <Txt style={{ ...font.bold, fontSize: 26, lineHeight: 34 }}>
              Nothing to drill: what is lacking stands at the wall and the holes.
            </Txt>
          )}
          <Action label="back to the holes" onPress={() => router.replace(`/room/${id}/holes`)} />
        </View>
      )}
    </View>
  );
}

function HoleFace({ mantel, hole }: { mantel: MantelPlan; hole: MantelHole }) {
  const { say } = useRoomContext();
  const words = mantelWords(mantel, hole, say);
  return (
    <View style={{ paddingHorizontal: 14, paddingVertical: 8, gap: 4 }} testID="mark-face">
      <Txt kind="bold">{words.name}</Txt>
      <BigFigure label="up from the floor" working={hole.workings.y} big />
      <BigFigure label="from the left wall" working={hole.workings.x} />
      <Txt>{`${capital(words.measures[1] ?? '')}.`}</Txt>
      <Txt kind="bold">{`${capital(words.drill)}.`}</Txt>
      {hole.unmarked ? (
        <Txt kind="small">Mark a joint first: where this would meet the mortar nobody knows yet.</Txt>
      ) : null}
      {words.steps.map((s, i) => (
        <Txt key={s}>{`${i + 1}. ${s}`}</Txt>
      ))}
    </View>
  );
}

/** Not ticked where it would be in a joint, nor while the mantel itself is stopped. */
function Good({ hole, mantel }: { hole: MantelHole; mantel: MantelPlan }) {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const stopped = plan.findings.some((f) => f.level === 'stop' && f.code.startsWith('mantel'));
  return (
    <Action
      label={resultName('good')}
      testID="tick-good"
      disabled={readOnly || stopped || mantel.fixing === undefined || boltState(hole) === 'stop'}
      onPress={() =>
        dispatch(tick(job, { ...hole, into: 'masonry', fixing: { diameter: mantel.fixing?.diameter ?? 0 } }, 'good'))
      }
    />
  );
}
