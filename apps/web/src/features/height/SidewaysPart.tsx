import { View } from 'react-native';
import type { Job } from '@steddo/contract';
import { armHoles, type Command, asideOf } from '@steddo/core';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';

const FOLDS = [
  { value: 'free', name: 'whichever serves' },
  { value: 'left', name: 'to the left' },
  { value: 'right', name: 'to the right' },
] as const;

/** Set and plate sideways: their centres, which way the arm folds, which arm hole. */
export function SidewaysPart() {
  const { job, plan, dispatch, readOnly, say } = useRoomContext();
  const { mount, choices = {} } = job;
  const holes = mount ? armHoles(mount) : [];
  const put = (field: keyof NonNullable<Job['choices']>, value: unknown): void => {
    dispatch(
      value === undefined ? { do: 'drop', path: `choices.${field}` } : { do: 'put', path: `choices.${field}`, value },
    );
  };
  const plate = plan.marks?.find((m) => m.id === 'plate-bottom');
  const holeOptions = [
    { value: 'free', name: 'whichever serves' },
    ...holes.map((above, i) => ({ value: String(i), name: `${i + 1}: ${say.length(above)}` })),
  ];
  const freed = choices.centreX !== undefined || choices.plateX !== undefined;
  return (
    <View testID="sideways">
      <TapeFields fields={sidewaysFields(job, plan.placement?.centre.x, plan.placement?.plate?.x)} />
      {plate ? (
        <View style={{ paddingHorizontal: 16 }}>
          <Figure label="plate off the set’s centre" working={plate.workings.fromCentre} size={18} />
        </View>
      ) : null}
      {mount?.slide === undefined ? null : (
        <View style={{ paddingHorizontal: 16, paddingBottom: 8 }}>
          <Txt kind="small" soft>
            {mount.type === 'monitor-arm'
              ? `Its arm brings the head up to ${say.length(asideOf(mount))} to either side of the plate.`
              : `The set slides ${say.length(mount.slide)} each way on this plate.`}
          </Txt>
        </View>
      )}
      {plan.reach && Math.abs(plan.reach.centreOffset) > 0 ? (
        <Choice
          label="the arm folds"
          disabled={readOnly}
          options={FOLDS}
          value={choices.fold ?? 'free'}
          onChoose={(v) => put('fold', v === 'free' ? undefined : v)}
        />
      ) : null}
      {holes.length > 1 ? (
        <Choice
          label="arm hole"
          disabled={readOnly}
          options={holeOptions}
          value={choices.armHole === undefined ? 'free' : String(choices.armHole)}
          onChoose={(v) => put('armHole', v === 'free' ? undefined : Number(v))}
        />
      ) : null}
      {freed ? (
        <View style={{ padding: 12 }}>
          <Action quiet disabled={readOnly} label="let the plan choose again" onPress={() => dispatch(letGo)} />
        </View>
      ) : null}
    </View>
  );
}

const letGo: Command = {
  do: 'all',
  commands: [
    { do: 'drop', path: 'choices.centreX' },
    { do: 'drop', path: 'choices.plateX' },
  ],
};

function sidewaysFields(job: Job, setX: number | undefined, plateX: number | undefined): Field[] {
  const field = (name: 'centreX' | 'plateX', label: string, now: number | undefined): Field => ({
    path: `choices.${name}`,
    label,
    hint: 'from the wall’s left end',
    kind: 'length',
    value: job.choices?.[name] ?? now,
    min: 0,
    max: job.room.wall.width,
    command: (value) => ({ do: 'put', path: `choices.${name}`, value }),
  });
  return [field('centreX', 'set’s centre line', setX), field('plateX', 'plate’s middle', plateX)];
}
