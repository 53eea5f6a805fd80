import { View } from 'react-native';
import { router } from 'expo-router';
import { minutesText } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Fold } from '../../ui/Fold';
import { Txt } from '../../ui/Txt';
import { Findings } from '../../work/Findings';
import { hangHeld } from '../../state/hangHeld';
import { HeldNote } from '../../work/HeldNote';
import { StepRow } from '../../work/StepRow';
import { GapsPart } from './GapsPart';
import { LeadsPart } from './LeadsPart';
import { LiftPart } from './LiftPart';

/** Leads, the lift, and the set onto its mount, step by step. */
export function HangStage() {
  const { id, job, plan } = useRoomContext();
  const { hang, day } = plan;
  if (!hang)
    return (
      <View style={{ padding: 16 }}>
        <Txt kind="bold">{job.mount ? 'There is no place for the set yet.' : 'Pick a mount first.'}</Txt>
      </View>
    );
  const open = hang.steps.filter((s) => !s.done);
  return (
    <View>
      <HeldNote />
      {open.length > 0 && !hangHeld(plan) ? (
        <View style={{ paddingHorizontal: 12, paddingTop: 10 }}>
          <Action
            label="hang it, one step at a time"
            testID="to-hanging"
            onPress={() => router.push(`/room/${id}/hanging`)}
          />
        </View>
      ) : null}
      <LiftPart />
      <Findings stage="hang" />
      <Fold name="leads" start={(job.leads ?? []).length > 0}>
        <LeadsPart />
      </Fold>
      <Fold name="gaps left and right" start={job.hang?.gaps !== undefined}>
        <GapsPart />
      </Fold>
      <Fold name="steps of the hanging" start={open.length === 0}>
        {hang.steps.map((s) => (
          <StepRow key={s.id} step={s} />
        ))}
      </Fold>
      <View style={{ padding: 12, gap: 10 }}>
        <Action
          quiet
          testID="to-day"
          label={`the whole day${day ? `, ${minutesText(day.minutes)}` : ''}, and what to pack`}
          onPress={() => router.push(`/room/${id}/day`)}
        />
      </View>
    </View>
  );
}
