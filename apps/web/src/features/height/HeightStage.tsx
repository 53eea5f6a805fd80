import { View } from 'react-native';
import { router } from 'expo-router';
import type { Job, HeightRule } from '@steddo/contract';
import { HEIGHT_RULES, chooseHeight, followHeightRule } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Findings, FoldedFindings } from '../room/Findings';
import { Fold } from '../room/Fold';
import { useRoomContext } from '../room/RoomContext';
import { ConflictCard } from './ConflictCard';
import { DistanceTable } from './DistanceTable';
import { MarksTable } from './MarksTable';
import { MeasuredOnSet } from './MeasuredOnSet';
import { HeightRuleInputs } from './HeightRuleInputs';
import { HeightRuleRow } from './HeightRuleRow';
import { SettledMarks } from './SettledMarks';
import { SidewaysPart } from './SidewaysPart';

/** What each school says for this room, side by side; the installer chooses, or moves the set. */
export function HeightStage() {
  const { id, job, plan, dispatch, readOnly } = useRoomContext();
  const chosen = job.choices?.centreY;
  const conflict = plan.placement?.conflict;
  const choose = (school: HeightRule) => {
    if (!readOnly) dispatch(followHeightRule(job, school));
  };
  return (
    <View>
      {conflict ? (
        <>
          <Findings stage="height" />
          <ConflictCard conflict={conflict} />
        </>
      ) : null}
      <View role="radiogroup" aria-label="schools of height">
        {HEIGHT_RULES.map((school) => {
          const followed = chosen === undefined && job.aim.height === school;
          return (
            <View key={school}>
              <HeightRuleRow
                school={school}
                height={plan.heights?.find((h) => h.school === school)}
                chosen={followed}
                onChoose={() => choose(school)}
              />
              {followed ? <HeightRuleInputs school={school} /> : null}
            </View>
          );
        })}
      </View>
      <TapeFields fields={[centreField(job, plan.placement?.centre.y)]} />
      {conflict ? null : <FoldedFindings stage="height" />}
      <View style={{ padding: 12 }}>
        <Action
          quiet
          testID="to-customer"
          label="show the customer"
          onPress={() => router.push(`/room/${id}/customer`)}
        />
      </View>
      <Fold name="settled marks of everybody">
        <SettledMarks />
      </Fold>
      <Fold name="sideways: plate, fold, arm hole">
        <SidewaysPart />
      </Fold>
      <Fold name="marks, from the floor and from its top">
        <MarksTable />
      </Fold>
      <Fold name="measured on the set">
        <MeasuredOnSet />
      </Fold>
      <Fold name="ceiling, lift-on room, sag">
        <TapeFields fields={roomFields(job)} />
      </Fold>
      <Fold name="how far away">
        <DistanceTable />
      </Fold>
    </View>
  );
}

function centreField(job: Job, now: number | undefined): Field {
  const chosen = job.choices?.centreY;
  return {
    path: 'choices.centreY',
    label: chosen === undefined ? 'or the centre at' : 'centre, by hand',
    hint: chosen === undefined ? 'type it, or drag the set' : 'choose a school to let go of it',
    kind: 'length',
    value: chosen ?? now,
    min: 100,
    max: job.room.wall.height,
    command: (value, current) => chooseHeight(current, value),
  };
}

function roomFields(job: Job): Field[] {
  const field = (name: 'ceilingGap' | 'liftOn' | 'sag', label: string, hint: string): Field => ({
    path: `aim.${name}`,
    label,
    hint,
    kind: 'length',
    value: job.aim[name],
    min: 0,
    max: 1000,
    command: (value) => ({ do: 'put', path: `aim.${name}`, value }),
  });
  return [
    field('ceilingGap', 'left free under the ceiling', '50 mm unless you say'),
    field('liftOn', 'rise to lift the set on', '25 mm unless you say'),
    field('sag', 'the arm sags by', 'plate and holes go up by it'),
  ];
}
