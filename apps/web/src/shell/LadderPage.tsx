import { useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Drilled, Hole } from '@steddo/contract';
import { drillScene, mirrorScene } from '@steddo/drawing';
import { findingText, markWords, resultName, spokenMark, wallTitle } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { rooms } from '../data/shared';
import { Action, IconTap } from '../ui/Action';
import { BottomSheet } from '../ui/BottomSheet';
import { rem } from '../ui/rem';
import { font, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { Verdict } from '../ui/Verdict';
import { timberLeft } from '../state/nextStep';
import { OnWall, useRoomContext, useSeenWall, useShown } from '../state/roomState';
import type { RoomState } from '../data/rooms';
import { AtMark } from './AtMark';
import { lateText } from './lateText';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';
import { FeltSheet } from '../work/FeltPart';
import { RemedyPart } from '../work/RemedyPart';
import { ladderAt, otherResults, tick, type LadderAt } from '../features/ladder/ladderAt';
import { JointTick } from '../features/ladder/JointTick';
import { keepLevelled, levelledFrom } from '../features/ladder/levelled';
import { MarkFace } from '../features/ladder/MarkFace';
import { MovedSheet } from '../features/ladder/MovedSheet';
import { useSpeech } from '../ui/useSpeech';
import { useWakeLock } from '../features/ladder/useWakeLock';

/** At the wall: one mark at a time, readable from a step-ladder, one thumb. */
export function LadderPage({ id }: { id: string }) {
  return (
    <RoomFrame id={id}>
      {({ state, posture }) => (
        <WallByWall>
          <Ladder state={state} posture={posture} />
        </WallByWall>
      )}
    </RoomFrame>
  );
}

/** In a corner one wall after the other: the first that has a hole still to drill. */
function WallByWall({ children }: { children: ReactNode }) {
  const wall = useShown((s) => s.plan.holes?.find((h) => !h.done)?.wall ?? 'main');
  return <OnWall wall={wall}>{children}</OnWall>;
}

function Ladder({ state, posture }: { state: RoomState; posture: Posture }) {
  const { id } = state;
  const canUndo = state.history.undo.length > 0;
  const { job, plan, late, say, dispatch, readOnly } = useRoomContext();
  const wall = useSeenWall();
  const palette = usePalette();
  const awake = useWakeLock();
  const speech = useSpeech();
  const [levelled, setLevelled] = useState(() => levelledFrom(id));
  const [felt, setFelt] = useState(false);
  const here = ladderAt(plan, levelled, job.choices?.setOut);
  const hole = here.at === 'mark' ? here.hole : undefined;
  const mark = hole && plan.marks?.find((m) => m.id === hole.id);
  const words = hole && mark ? markWords(hole, mark, plan, say) : undefined;
  const drawn = drillScene(job, plan, hole?.id);
  const plate = wall === 'left' ? mirrorScene(drawn, job.room.wall.width) : drawn;
  const stops = plan.findings.filter((f) => f.level === 'stop' && !f.acknowledged);
  // while wall or holes say stop nothing is ticked as good; what came of a hole can still be said
  const timber = timberLeft(plan);
  const box = (plan.recess?.steps ?? []).some((s) => !s.done);
  const held = timber > 0 || box || stops.some((f) => f.stage === 'wall' || f.stage === 'holes');
  const disputed = plan.holes?.find((h) => h.met !== undefined);
  const onTick: OnTick = (result, by) => {
    if (hole) dispatch(tick(job, hole, result, by));
  };
  const onFelt = () => {
    if (hole) dispatch(tick(job, hole, 'felt-something'));
    setFelt(true);
  };
  const level = (first: Hole) => {
    keepLevelled(id, first.id);
    setLevelled(first.id);
  };
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="ladder">
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <IconTap icon="back" label="back to the holes" onPress={() => router.replace(`/room/${id}/holes`)} />
        <View style={{ flex: 1 }}>
          <Txt kind="title" level={1} lines={2}>
            {disputed
              ? 'Wood, or nothing?'
              : `${wall && here.at !== 'finished' ? `${wallTitle(wall)}: ` : ''}${headingOf(here)}`}
          </Txt>
          <Txt kind="small" soft>
            {awake ? 'screen kept awake' : 'the screen may sleep'}
          </Txt>
          <SaveState state={state} />
        </View>
        {words && speech.can ? (
          <IconTap icon="speak" label="read it aloud" onPress={() => speech.say(spokenMark(words))} />
        ) : null}
        {hole ? (
          <IconTap
            icon="camera"
            label="a picture of this hole"
            onPress={() => router.push(`/room/${id}/pictures?of=${hole.id}`)}
          />
        ) : null}
        <IconTap icon="undo" label="undo" disabled={readOnly || !canUndo} onPress={() => rooms.step(id, 'undo')} />
      </View>
      {stops.length > 0 && here.at !== 'finished' ? (
        <View style={{ padding: 12, borderTopWidth: 2, borderColor: palette.stop, gap: 4 }} testID="ladder-stop">
          <Verdict verdict="stop" />
          {stops.slice(0, 2).map((f) => (
            <Txt key={f.code}>{findingText(f, say)}</Txt>
          ))}
        </View>
      ) : null}
      {box ? (
        <View style={{ padding: 12, gap: 8 }} testID="ladder-box">
          <Txt kind="bold">The box comes first: what is found through its cut may move the plate.</Txt>
          <Action quiet label="the box, one cut at a time" onPress={() => router.replace(`/room/${id}/box`)} />
        </View>
      ) : null}
      {timber > 0 ? (
        <View style={{ padding: 12, gap: 8 }} testID="ladder-timber">
          <Txt kind="bold">The plate is marked on its timber: that is drilled for first.</Txt>
          <Action quiet label="the timber's own holes" onPress={() => router.replace(`/room/${id}/timber`)} />
        </View>
      ) : null}
      {late ? (
        <View style={{ padding: 20 }} testID="ladder-late">
          <Big>No marks now. {lateText(late)}</Big>
        </View>
      ) : disputed ? (
        <ScrollView style={{ flex: 1 }} tabIndex={0} testID="ladder-remedies">
          <View style={{ height: 150 }}>
            <Drawing
              scene={drillScene(job, plan, disputed.id)}
              box={drillScene(job, plan, disputed.id).focus}
              label="the plate"
              testID="ladder-plate"
              units={job.units}
            />
          </View>
          <RemedyPart />
        </ScrollView>
      ) : (
        <AtMark
          posture={posture}
          drawing={
            <Drawing
              scene={plate}
              box={plate.focus}
              label={words ? words.name : 'the plate'}
              testID="ladder-plate"
              units={job.units}
            />
          }
          face={
            <Body here={here} onLevel={level}>
              {hole && mark && words ? <MarkFace hole={hole} mark={mark} words={words} /> : null}
            </Body>
          }
          {...(hole
            ? {
                other: <OtherTicks key={hole.id} hole={hole} readOnly={readOnly} onTick={onTick} onFelt={onFelt} />,
                good: (
                  <Action
                    label={resultName('good')}
                    testID="tick-good"
                    disabled={readOnly || held}
                    onPress={() => onTick('good')}
                  />
                ),
              }
            : {})}
        />
      )}
      {felt ? <FeltSheet onClose={() => setFelt(false)} /> : null}
    </View>
  );
}

function headingOf(here: LadderAt): string {
  switch (here.at) {
    case 'none':
      return 'No holes';
    case 'mark':
      return `Mark ${here.done + 1} of ${here.of}`;
    case 'level':
      return 'Now the level';
    case 'finished':
      return 'All drilled';
  }
}

function Body({ here, onLevel, children }: { here: LadderAt; onLevel: (first: Hole) => void; children: ReactNode }) {
  const { id } = useRoomContext();
  if (here.at === 'mark') return <>{children}</>;
  return (
    <View style={{ flex: 1, padding: 20, gap: 16, justifyContent: 'center' }}>
      {here.at === 'level' ? (
        <>
          <Big>One bolt, snug, in the middle of its slot. Let the plate hang, and level on it.</Big>
          <Txt>
            Turn the level end for end: if the bubble moves, the level is lying. Then mark the next hole at the top and
            bottom of its slot and drill between the marks.
          </Txt>
          <Action label="it is level" testID="levelled" onPress={() => onLevel(here.first)} />
          <Action quiet label="readings of the level" onPress={() => router.push(`/room/${id}/level`)} />
        </>
      ) : here.at === 'finished' ? (
        <>
          <Big>{`All ${here.of} holes are drilled. Washers under the heads; tighten diagonally, the last turns by hand.`}</Big>
          <Action label="the level" icon="next" onPress={() => router.replace(`/room/${id}/level`)} />
        </>
      ) : (
        <>
          <Big>There are no holes to drill yet.</Big>
          <Action label="back to the holes" onPress={() => router.replace(`/room/${id}/holes`)} />
        </>
      )}
    </View>
  );
}

const Big = ({ children }: { children: ReactNode }) => (
  <Txt style={{ ...font.bold, fontSize: 26, lineHeight: 34 }}>{children}</Txt>
);

type OnTick = (result: Drilled['result'], by?: { x: number; y: number }) => void;

/** What else may have come of the hole. */
function OtherTicks({
  hole,
  readOnly,
  onTick,
  onFelt,
}: {
  hole: Hole;
  readOnly: boolean;
  onTick: OnTick;
  onFelt: () => void;
}) {
  const [open, setOpen] = useState<'moved' | 'more'>();
  const masonry = hole.into === 'masonry';
  // what the bit met in masonry has a question of its own
  const others = otherResults(hole);
  const usual = masonry ? undefined : others[0];
  const rare = masonry ? others : others.slice(1);
  const small = (r: Drilled['result'], press: () => void) => (
    <Small key={r} label={resultName(r)} testID={`tick-${r}`} disabled={readOnly} onPress={press} />
  );
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {small('drifted', () => setOpen('moved'))}
        {usual ? small(usual, () => onTick(usual)) : null}
        <Small label="something else" testID="tick-more" disabled={readOnly} onPress={() => setOpen('more')} />
        {small('felt-something', onFelt)}
      </View>
      {masonry ? <JointTick at={hole} /> : null}
      {open === 'more' ? (
        <BottomSheet title="what came of it?" onClose={() => setOpen(undefined)} testID="more-sheet">
          <View style={{ gap: 10 }}>
            {rare.map((r) => (
              <Action
                key={r}
                quiet
                label={resultName(r)}
                testID={`tick-${r}`}
                onPress={() => {
                  setOpen(undefined);
                  onTick(r);
                }}
              />
            ))}
          </View>
        </BottomSheet>
      ) : null}
      {open === 'moved' ? (
        <MovedSheet
          onClose={() => setOpen(undefined)}
          onTake={(by) => {
            setOpen(undefined);
            onTick('drifted', by);
          }}
        />
      ) : null}
    </>
  );
}

const Small = (props: { label: string; testID: string; disabled: boolean; onPress: () => void }) => (
  <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: rem(128) }}>
    <Action quiet fill {...props} />
  </View>
);
