import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { BoxStepId, Look, RecessPlan } from '@steddo/contract';
import { boxScene, type BoxMeasures } from '@steddo/drawing';
import { boxNeedsLine, dayStepText } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import type { RoomState } from '../data/rooms';
import { rooms } from '../data/shared';
import type { Field } from '../pad/fields';
import { usePad } from '../pad/PadContext';
import { TapeFields } from '../pad/TapeField';
import { TapePad } from '../pad/TapePad';
import { faceOn, lookedThrough, madeFirstCut, noggingAt, tapedFace } from '../state/boxEdits';
import { useRoomContext } from '../state/roomState';
import { tickStep } from '../state/ticks';
import { Action, IconTap } from '../ui/Action';
import { font, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { Verdict } from '../ui/Verdict';
import { BigFigure } from '../work/BigFigure';
import { FeltSheet } from '../work/FeltPart';
import { Findings } from '../work/Findings';
import { WorkingSheet } from '../work/WorkingSheet';
import { AtMark } from './AtMark';
import { lateText } from './lateText';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';

type Step = RecessPlan['steps'][number];

/** At the wall with a box to be let in: one step after the other, and none while something is lacking before it. */
export function BoxPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state, posture }) => <AtBox state={state} posture={posture} />}</RoomFrame>;
}

function AtBox({ state, posture }: { state: RoomState; posture: Posture }) {
  const { id } = state;
  const { job, plan, late, readOnly } = useRoomContext();
  const palette = usePalette();
  const pad = usePad();
  const { recess } = plan;
  const steps = recess?.steps ?? [];
  const step = steps.find((s) => !s.done);
  const leave = () => (router.canGoBack() ? router.back() : router.replace(`/room/${id}/wall`));
  const scene = step && boxScene(job, plan, MEASURES[step.id]);
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="at-box">
      <PageHead
        title={
          step
            ? `Box: step ${steps.indexOf(step) + 1} of ${steps.length}`
            : recess
              ? 'The box is in'
              : 'No box to cut for'
        }
        back="back to the wall"
        onBack={leave}
        under={<SaveState state={state} />}
      >
        <IconTap
          icon="undo"
          label="undo"
          disabled={readOnly || state.history.undo.length === 0}
          onPress={() => rooms.step(id, 'undo')}
        />
      </PageHead>
      {late ? (
        <View style={{ padding: 20 }}>
          <Txt style={BIG}>{lateText(late)}</Txt>
        </View>
      ) : recess && step && scene ? (
        <AtMark
          posture={posture}
          drawing={
            <Drawing
              scene={scene}
              box={scene.focus}
              label="the bay with both cuts"
              testID="box-drawing"
              units={job.units}
            />
          }
          face={<StepFace key={step.id} recess={recess} step={step} />}
          {...(pad.opened
            ? { other: <TapePad />, good: null }
            : {
                other: <Others key={step.id} recess={recess} step={step} />,
                good: <Good recess={recess} step={step} />,
              })}
        />
      ) : (
        <ScrollView contentContainerStyle={{ padding: 20, gap: 16 }} tabIndex={0}>
          <Txt style={BIG}>
            {recess
              ? 'Wired, closed and tested. Now the plate over it.'
              : 'Nothing is to be let into this wall: what is there stands among the things on the wall.'}
          </Txt>
          <Action
            label={recess ? "the plate's holes, one mark at a time" : 'back to the wall'}
            icon="next"
            testID="box-to-ladder"
            onPress={() => router.replace(`/room/${id}/${recess ? 'ladder' : 'wall'}`)}
          />
        </ScrollView>
      )}
      <WorkingSheet />
    </View>
  );
}

const BIG = { ...font.bold, fontSize: 26, lineHeight: 34 } as const;

/** What is in the hand at a step. */
const MEASURES: Record<BoxStepId, BoxMeasures> = {
  'box.first-cut': 'first',
  'box.look': 'first',
  'box.power': 'first',
  'box.faces': 'faces',
  'box.outline': 'outline',
  'box.saw': 'outline',
  'box.trim': 'outline',
  'box.wiring': 'outline',
  'box.push-in': 'outline',
  'box.test': 'outline',
};

function StepFace({ recess, step }: { recess: RecessPlan; step: Step }) {
  const words = dayStepText(step.id);
  const lacking = boxNeedsLine(step.needs);
  return (
    <View style={{ paddingHorizontal: 14, paddingVertical: 8, gap: 6 }} testID={`box-step-${step.id}`}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt style={BIG}>{words.name}</Txt>
        </View>
        {lacking ? <Verdict verdict="stop" /> : null}
      </View>
      <Txt>{words.look}</Txt>
      {lacking ? (
        <Txt kind="bold" testID="box-lacking">
          {lacking}
        </Txt>
      ) : null}
      {step.noReturn ? <Txt kind="bold">No way back from here: nothing covers what goes wrong.</Txt> : null}
      <Measures recess={recess} step={step} />
      {lacking ? <Findings stage="wall" /> : null}
    </View>
  );
}

function Measures({ recess, step }: { recess: RecessPlan; step: Step }) {
  const { say } = useRoomContext();
  const { workings, first, cut } = recess;
  if (step.id === 'box.first-cut')
    return (
      <>
        <BigFigure label="left edge, from the left wall" working={workings.firstLeft} big />
        <BigFigure label="lower edge, up from the floor" working={workings.firstBottom} />
        <Txt kind="bold">{`${say.length(first.right - first.left)} wide, ${say.length(first.top - first.bottom)} high`}</Txt>
      </>
    );
  if (step.id === 'box.faces') return <FaceFields recess={recess} />;
  if (step.id === 'box.look') return <NoggingField recess={recess} />;
  if (step.id !== 'box.outline' && step.id !== 'box.saw') return null;
  return (
    <>
      <BigFigure label="left edge, from the left wall" working={workings.left} big />
      <BigFigure label="lower edge, up from the floor" working={workings.bottom} />
      <Txt kind="bold">{`${say.length(cut.right - cut.left)} wide, ${say.length(cut.top - cut.bottom)} high, ${say.length(cut.depth)} deep`}</Txt>
    </>
  );
}

/** Both faces by the tape, measured from the wall's left end. */
function FaceFields({ recess }: { recess: RecessPlan }) {
  const { job } = useRoomContext();
  const field = (side: 'left' | 'right'): Field => ({
    path: `box.face-${side}`,
    label: `face on the ${side}, from the left wall`,
    hint: 'taped through the opening',
    kind: 'length',
    ...valueOf(faceOn(job, recess, side)),
    min: side === 'left' ? 0 : recess.first.right,
    max: side === 'left' ? recess.first.left : job.room.wall.width,
    command: (x, now) => tapedFace(now, recess, side, x),
  });
  return <TapeFields fields={[field('left'), field('right')]} />;
}

const valueOf = (value: number | undefined) => (value === undefined ? {} : { value });

/** A timber that the hand meets across the bay, by its middle. */
function NoggingField({ recess }: { recess: RecessPlan }) {
  const { job } = useRoomContext();
  const fields: Field[] = [
    {
      path: 'box.nogging',
      label: 'a timber across: its middle, up from the floor',
      hint: 'if there is one',
      kind: 'length',
      min: 0,
      max: job.room.wall.height,
      command: (y, now) => noggingAt(now, recess, y),
    },
  ];
  return <TapeFields fields={fields} />;
}

const FOUND: readonly { found: Look['found']; name: string }[] = [
  { found: 'cable', name: 'a cable' },
  { found: 'pipe', name: 'a pipe' },
  { found: 'gas', name: 'a gas pipe' },
  { found: 'unsure', name: 'cannot tell' },
];

/** What else may have come of a step. */
function Others({ recess, step }: { recess: RecessPlan; step: Step }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const [stopped, setStopped] = useState(false);
  if (step.id !== 'box.look') return <View />;
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {FOUND.map(({ found, name }) => (
          <View key={found} style={{ flexGrow: 1 }}>
            <Action
              quiet
              fill
              label={name}
              testID={`box-found-${found}`}
              disabled={readOnly}
              onPress={() => {
                dispatch(lookedThrough(job, recess, found));
                setStopped(true);
              }}
            />
          </View>
        ))}
      </View>
      {stopped ? <FeltSheet onClose={() => setStopped(false)} /> : null}
    </>
  );
}

const GOOD: Partial<Record<BoxStepId, string>> = {
  'box.first-cut': 'it is cut',
  'box.look': 'clear, all of it',
  'box.power': 'it can get there',
  'box.faces': 'both are taped',
};

/** Done, unless something is lacking before it. */
function Good({ recess, step }: { recess: RecessPlan; step: Step }) {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const lacking = step.needs.length > 0;
  const met = step.id === 'box.look' && plan.findings.some((f) => f.code === 'seen-at-opening');
  const taped = step.id === 'box.faces';
  const done = () => {
    if (step.id === 'box.first-cut') dispatch(madeFirstCut(job, recess));
    else if (step.id === 'box.look') dispatch(lookedThrough(job, recess, 'clear'));
    else dispatch(tickStep(job, step.id));
  };
  return (
    <Action
      label={GOOD[step.id] ?? 'done'}
      icon="check"
      testID="box-done"
      // two measures show by themselves that it was done
      disabled={readOnly || lacking || met || taped}
      onPress={done}
    />
  );
}
