import { useCallback } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Job, HeightRule } from '@steddo/contract';
import { chooseHeight, followHeightRule, heightRulesFor, roomKindOf } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Findings, FoldedFindings } from '../../work/Findings';
import { Fold } from '../../ui/Fold';
import { useActions, useJob, usePlan, useRoomContext, useRoomNow, useShown } from '../../state/roomState';
import { sameContent } from '../../ui/useSame';
import { ConflictCard } from './ConflictCard';
import { DistanceTable } from './DistanceTable';
import { MarksTable } from './MarksTable';
import { FloorPart } from './FloorPart';
import { HeightRuleInputs } from './HeightRuleInputs';
import { HeightRuleRow } from './HeightRuleRow';
import { SettledMarks } from './SettledMarks';
import { SidewaysPart } from './SidewaysPart';
import { SoundbarPart } from './SoundbarPart';

/** What each rule says for this room, side by side; the installer chooses, or moves the set. */
export function HeightStage() {
  const { id } = useRoomContext();
  const rules = useJob(heightRulesFor, sameContent);
  return (
    <View>
      <ConflictPart />
      <StandsPart />
      <View role="radiogroup" aria-label="schools of height">
        {rules.map((rule) => (
          <RulePart key={rule} rule={rule} />
        ))}
      </View>
      <CentrePart />
      <QuietFindings />
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
      <Fold name="ceiling, lift-on room, sag">
        <AimPart />
      </Fold>
      <Fold name="does the floor fall?">
        <FloorPart />
      </Fold>
      <Fold name="soundbar to come">
        <SoundbarPart />
      </Fold>
      <Fold name="how far away">
        <DistanceTable />
      </Fold>
    </View>
  );
}

const STANDS = [
  { value: 'wide', name: 'as wide as it is' },
  { value: 'end', name: 'on its end' },
] as const;

/** Over a bench the head turns it: a drawing board or a page is taller than it is wide. */
function StandsPart() {
  const { job, dispatch, readOnly } = useRoomContext();
  if (roomKindOf(job) !== 'bench') return null;
  return (
    <Choice
      label="it is used"
      disabled={readOnly}
      options={STANDS}
      value={job.choices?.portrait ? 'end' : 'wide'}
      onChoose={(to) => dispatch({ do: 'put', path: 'choices.portrait', value: to === 'end' })}
    />
  );
}

const useConflict = () => usePlan((p) => p.placement?.conflict, sameContent);

function ConflictPart() {
  const conflict = useConflict();
  return conflict ? (
    <>
      <Findings stage="height" />
      <ConflictCard conflict={conflict} />
    </>
  ) : null;
}

/** With a conflict they stand at the top, opened. */
const QuietFindings = () => (useConflict() ? null : <FoldedFindings stage="height" />);

function RulePart({ rule }: { rule: HeightRule }) {
  const store = useRoomNow();
  const { dispatch } = useActions();
  const height = usePlan((p) => p.heights?.find((h) => h.school === rule), sameContent);
  const followed = useJob((j) => j.choices?.centreY === undefined && j.aim.height === rule);
  const choose = useCallback(() => {
    const { job, readOnly } = store();
    if (!readOnly) dispatch(followHeightRule(job, rule));
  }, [store, dispatch, rule]);
  return (
    <View>
      <HeightRuleRow school={rule} height={height} chosen={followed} onChoose={choose} />
      {followed ? <HeightRuleInputs school={rule} /> : null}
    </View>
  );
}

function CentrePart() {
  const { chosen, now, wallHeight } = useShown(
    ({ job, plan }) => ({
      chosen: job.choices?.centreY,
      now: plan.placement?.centre.y,
      wallHeight: job.room.wall.height,
    }),
    sameContent,
  );
  return <TapeFields fields={[centreField(chosen, now, wallHeight)]} />;
}

const AimPart = () => <TapeFields fields={aimFields(useJob((j) => j.aim))} />;

function centreField(chosen: number | undefined, now: number | undefined, wallHeight: number): Field {
  return {
    path: 'choices.centreY',
    label: chosen === undefined ? 'or the centre at' : 'centre, by hand',
    hint: chosen === undefined ? 'type it, or drag the set' : 'choose a school to let go of it',
    kind: 'length',
    value: chosen ?? now,
    min: 100,
    max: wallHeight,
    command: (value, current) => chooseHeight(current, value),
  };
}

function aimFields(aim: Job['aim']): Field[] {
  const field = (name: 'ceilingGap' | 'liftOn' | 'sag', label: string, hint: string): Field => ({
    path: `aim.${name}`,
    label,
    hint,
    kind: 'length',
    value: aim[name],
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
