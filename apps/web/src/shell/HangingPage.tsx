import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { StepId } from '@steddo/contract';
import { roomFace } from '@steddo/drawing';
import { dayStepText, poseLine, slackText } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { rooms } from '../data/shared';
import type { RoomState } from '../data/rooms';
import { GapsPart } from '../features/hang/GapsPart';
import { useRoomContext } from '../state/roomState';
import { hangHeld } from '../state/hangHeld';
import { stepFacts } from '../state/stepFacts';
import { tickStep } from '../state/ticks';
import { Action, IconTap } from '../ui/Action';
import { font, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { Posture } from '../ui/usePosture';
import { useSpeech } from '../ui/useSpeech';
import { TapePad } from '../pad/TapePad';
import { usePad } from '../pad/PadContext';
import { useWakeLock } from '../features/ladder/useWakeLock';
import { HeldNote } from '../work/HeldNote';
import { OpenPointDialog } from '../work/OpenPointDialog';
import { WorkingSheet } from '../work/WorkingSheet';
import { AtMark } from './AtMark';
import { lateText } from './lateText';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';

/** The set onto the wall: one step at a time, readable with both arms full, one thumb. */
export function HangingPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state, posture }) => <Hanging state={state} posture={posture} />}</RoomFrame>;
}

function Hanging({ state, posture }: { state: RoomState; posture: Posture }) {
  const { id } = state;
  const { job, plan, late, dispatch, readOnly } = useRoomContext();
  const palette = usePalette();
  const awake = useWakeLock();
  const speech = useSpeech();
  const pad = usePad();
  const [saying, setSaying] = useState(false);
  const steps = plan.hang?.steps ?? [];
  const at = steps.findIndex((s) => !s.done);
  const step = steps[at];
  const words = step && dayStepText(step.id, stepFacts(step.id, job, plan));
  const held = hangHeld(plan) !== undefined;
  const leave = () => router.replace(`/room/${id}/hang`);
  const canUndo = state.history.undo.length > 0;
  const title = late
    ? 'Hang'
    : step
      ? `Step ${at + 1} of ${steps.length}`
      : steps.length === 0
        ? 'No steps'
        : 'It hangs';
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="hanging">
      <PageHead
        title={title}
        back="back to hanging"
        onBack={leave}
        under={
          <>
            <Txt kind="small" soft>
              {awake ? 'screen kept awake' : 'the screen may sleep'}
            </Txt>
            <SaveState state={state} />
          </>
        }
      >
        {words && speech.can ? (
          <IconTap icon="speak" label="read it aloud" onPress={() => speech.say(`${words.name}. ${words.look}`)} />
        ) : null}
        <IconTap icon="undo" label="undo" disabled={readOnly || !canUndo} onPress={() => rooms.step(id, 'undo')} />
      </PageHead>
      {step && !late ? <HeldNote /> : null}
      {late ? (
        <View style={{ padding: 20 }}>
          <Txt style={BIG}>{lateText(late)}</Txt>
        </View>
      ) : step && words ? (
        <AtMark
          posture={posture}
          drawing={<WallDrawing />}
          face={
            <View style={{ padding: 16, gap: 12 }} testID={`now-${step.id}`}>
              <Txt style={BIG}>{words.name}</Txt>
              <Txt kind="title">{words.look}</Txt>
              <OfStep id={step.id} />
            </View>
          }
          {...(pad.opened
            ? { other: <TapePad />, good: null }
            : {
                other: (
                  <Action
                    quiet
                    label="cannot be done as it should"
                    testID="cannot"
                    disabled={readOnly}
                    onPress={() => setSaying(true)}
                  />
                ),
                good: (
                  <Action
                    label="done"
                    icon="check"
                    testID="step-done"
                    disabled={readOnly || held}
                    onPress={() => dispatch(tickStep(job, step.id))}
                  />
                ),
              })}
        />
      ) : (
        <View style={{ flex: 1, padding: 20, gap: 16, justifyContent: 'center' }}>
          <Txt style={BIG}>{steps.length === 0 ? 'There is nothing to hang yet.' : 'Every step is done.'}</Txt>
          <Action
            label={steps.length === 0 ? 'back' : 'hand over'}
            icon="next"
            testID="to-done"
            onPress={() => (steps.length === 0 ? leave() : router.replace(`/room/${id}/done`))}
          />
        </View>
      )}
      {saying && step ? <OpenPointDialog step={step.id} onClose={() => setSaying(false)} /> : null}
      <WorkingSheet />
    </View>
  );
}

const BIG = { ...font.bold, fontSize: 28, lineHeight: 36 } as const;

/** What a step needs besides its words: the leads that go in now, the gaps, the level. */
function OfStep({ id }: { id: StepId }) {
  const { id: room, job, plan, say } = useRoomContext();
  if (id === 'hang.centre') return <GapsPart />;
  if (id === 'hang.level')
    return (
      <Action
        quiet
        label="readings of the level"
        testID="to-level"
        onPress={() => router.push(`/room/${room}/level`)}
      />
    );
  if (id === 'hang.pose') {
    const pose = poseLine(job, plan, say);
    return pose ? <Txt testID="pose">{pose}</Txt> : null;
  }
  if (!id.startsWith('leads.')) return null;
  return (
    <>
      {(plan.leads ?? []).map((l) => (
        <Txt key={l.id}>{`${l.what}: ${slackText(l, say)}`}</Txt>
      ))}
    </>
  );
}

function WallDrawing() {
  const { job, plan } = useRoomContext();
  const scene = roomFace(job, plan, 'leads');
  return (
    <Drawing
      scene={scene}
      box={scene.focus}
      units={job.units}
      label={`the set where it hangs, with its leads, to scale: ${job.title}`}
      testID="hanging-face"
    />
  );
}
