import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Drilled, TimberPlan } from '@steddo/contract';
import { boltState } from '@steddo/core';
import { timberScene } from '@steddo/drawing';
import { capital, resultName, timberAfter, timberWords } from '@steddo/text';
import { tick, type Drillable } from '../features/ladder/ladderAt';
import type { RoomState } from '../data/rooms';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { font } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { BigFigure } from '../work/BigFigure';
import { FeltSheet } from '../work/FeltPart';
import { HoleHead } from '../work/HoleHead';
import { HolesAtWall } from './HolesAtWall';
import { RoomFrame } from './RoomFrame';

/** At the wall with the timber that the plate goes onto: its own holes one at a time, then what follows. */
export function TimberPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state, posture }) => <AtTimber state={state} posture={posture} />}</RoomFrame>;
}

type Hole = TimberPlan['holes'][number];

function AtTimber({ state, posture }: { state: RoomState; posture: Posture }) {
  const { job, plan } = useRoomContext();
  const { timber } = plan;
  const holes = timber?.holes ?? [];
  const hole = holes.find((h) => !h.done);
  const thing = timber?.way === 'noggings' ? 'Noggings' : 'Timber';
  const title = hole
    ? `${thing}: mark ${holes.indexOf(hole) + 1} of ${holes.length}`
    : holes.length > 0
      ? 'Now the plate onto it'
      : 'No timber to drill';
  return (
    <HolesAtWall
      {...{ state, posture, title, testID: 'at-timber', label: 'the timber with its holes' }}
      scene={hole && timberScene(job, plan, hole.id)}
      face={timber && hole ? <HoleFace timber={timber} hole={hole} /> : null}
      other={timber && hole ? <Others key={hole.id} timber={timber} hole={hole} /> : null}
      good={timber && hole ? <Good timber={timber} hole={hole} /> : null}
      after={
        timber && holes.length > 0 ? (
          <>
            {timberAfter(timber).map((text, i) => (
              <Txt key={text} kind={i === 0 ? 'bold' : 'text'}>{`${i + 1}. ${text}`}</Txt>
            ))}
            <Action
              label="the plate's holes, one mark at a time"
              icon="next"
              testID="timber-to-ladder"
              onPress={() => router.replace(`/room/${state.id}/ladder`)}
            />
          </>
        ) : (
          <Txt style={{ ...font.bold, fontSize: 26, lineHeight: 34 }}>
            Nothing to drill: what is lacking stands at the holes.
          </Txt>
        )
      }
    />
  );
}

/** Into a stud, which then is known of; or into a cleat, which says nothing of the wall. */
const drillable = (hole: Hole, { way, fixing }: TimberPlan): Drillable => ({
  ...hole,
  into: way === 'noggings' ? 'backing' : 'stud',
  fixing: { diameter: fixing?.diameter ?? 0 },
});

function HoleFace({ timber, hole }: { timber: TimberPlan; hole: Hole }) {
  const { say } = useRoomContext();
  const words = timberWords(timber, hole, say);
  return (
    <View style={{ paddingHorizontal: 14, paddingVertical: 8, gap: 4 }} testID="mark-face">
      <HoleHead name={words.name} hole={hole} />
      <BigFigure label="up from the floor" working={hole.workings.y} big />
      <BigFigure label="from the left wall" working={hole.workings.x} />
      <Txt kind="bold">{`${capital(words.drill)}.`}</Txt>
      {hole.hazard === 'nobody-looked' || hole.hazard === 'one-side' ? (
        <Txt kind="small">Nobody has looked into both bays here: look first.</Txt>
      ) : null}
      {words.steps.map((s, i) => (
        <Txt key={s}>{`${i + 1}. ${s}`}</Txt>
      ))}
    </View>
  );
}

/** Something felt stops the work; a stud that is not there is known of from then on. */
function Others({ timber, hole }: { timber: TimberPlan; hole: Hole }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const [felt, setFelt] = useState(false);
  const results: Drilled['result'][] = [
    // into a cleat nobody misses: it is seen
    ...(timber.way === 'noggings' ? [] : (['hollow'] as const)),
    'broken',
    'felt-something',
  ];
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {results.map((result) => (
          <View key={result} style={{ flex: 1 }}>
            <Action
              quiet
              fill
              label={resultName(result)}
              testID={`tick-${result}`}
              disabled={readOnly}
              onPress={() => {
                dispatch(tick(job, drillable(hole, timber), result));
                if (result === 'felt-something') setFelt(true);
              }}
            />
          </View>
        ))}
      </View>
      {felt ? <FeltSheet onClose={() => setFelt(false)} /> : null}
    </>
  );
}

/** Not ticked where it misses its stud or something was seen, nor while wall or holes are stopped. */
function Good({ timber, hole }: { timber: TimberPlan; hole: Hole }) {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const held = plan.findings.some(
    (f) => f.level === 'stop' && !f.acknowledged && (f.stage === 'wall' || f.stage === 'holes'),
  );
  return (
    <Action
      label={resultName('good')}
      testID="tick-good"
      disabled={readOnly || held || boltState(hole) === 'stop'}
      onPress={() => dispatch(tick(job, drillable(hole, timber), 'good'))}
    />
  );
}
