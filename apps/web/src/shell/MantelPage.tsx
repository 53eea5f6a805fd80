import { View } from 'react-native';
import type { MantelHole, MantelPlan } from '@steddo/contract';
import { boltState } from '@steddo/core';
import { mantelScene } from '@steddo/drawing';
import { MANTEL_AFTER, capital, mantelWords, resultName } from '@steddo/text';
import { JointTick } from '../features/ladder/JointTick';
import { tick } from '../features/ladder/ladderAt';
import type { RoomState } from '../data/rooms';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { font } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { BigFigure } from '../work/BigFigure';
import { HolesAtWall } from './HolesAtWall';
import { RoomFrame } from './RoomFrame';

/** At the wall with the timber of a hollow mantel: its holes one at a time, then the shell. */
export function MantelPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state, posture }) => <Mantel state={state} posture={posture} />}</RoomFrame>;
}

function Mantel({ state, posture }: { state: RoomState; posture: Posture }) {
  const { job, plan } = useRoomContext();
  const { mantel } = plan;
  const holes = mantel?.holes ?? [];
  const hole = holes.find((h) => !h.done);
  const title = hole
    ? `Mantel: mark ${holes.indexOf(hole) + 1} of ${holes.length}`
    : holes.length > 0
      ? 'Now the shell'
      : 'No timber to drill';
  return (
    <HolesAtWall
      {...{ state, posture, title, testID: 'mantel', label: 'the timber over its courses' }}
      scene={hole && mantelScene(job, plan, hole.id)}
      face={mantel && hole ? <HoleFace mantel={mantel} hole={hole} /> : null}
      other={hole ? <JointTick at={inMasonry(hole, mantel)} /> : null}
      good={mantel && hole ? <Good hole={hole} mantel={mantel} /> : null}
      after={
        holes.length > 0 ? (
          MANTEL_AFTER.map((text, i) => <Txt key={text} kind={i === 0 ? 'bold' : 'text'}>{`${i + 1}. ${text}`}</Txt>)
        ) : (
          <Txt style={{ ...font.bold, fontSize: 26, lineHeight: 34 }}>
            Nothing to drill: what is lacking stands at the wall and the holes.
          </Txt>
        )
      }
    />
  );
}

const inMasonry = (hole: MantelHole, mantel: MantelPlan | undefined) => ({
  ...hole,
  into: 'masonry' as const,
  fixing: { diameter: mantel?.fixing?.diameter ?? 0 },
});

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
      onPress={() => dispatch(tick(job, inMasonry(hole, mantel), 'good'))}
    />
  );
}
