import { View } from 'react-native';
import type { Job, Plan } from '@steddo/contract';
import type { Wording } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { TapeFields } from '../../pad/TapeField';
import type { Field } from '../../pad/fields';
import { Fold } from '../../ui/Fold';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';

/** How far it comes over its rail, and what is free above it then; a head that is screwed on has no rail. */
function roomText({ joint, rise, room }: NonNullable<Plan['hang']>, say: Wording): string {
  if (joint === 'screws') return '';
  const above = room === undefined ? '' : `; above it ${say.length(room)} are free`;
  return ` It comes ${say.length(rise)} over its rail${above}.`;
}

/** How many lift, from where to where, and how heavy that is; and the room over the rail. */
export function LiftPart() {
  const { job, plan, say } = useRoomContext();
  const { lift, hang } = plan;
  if (!lift) return null;
  const { workings, people, hands } = lift;
  return (
    <View testID="lift">
      <View style={{ paddingHorizontal: 16, paddingTop: 10, gap: 2 }}>
        <Txt kind="title" level={2}>
          {people === 2 ? 'Two people lift' : 'One lifts'}
        </Txt>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 }}>
          <Figure label="set and brackets" working={workings.mass} size={20} />
          {workings.index ? (
            <Figure
              label={`of what ${people === 2 ? 'two' : 'one'} may`}
              working={workings.index}
              as="utilisation"
              size={20}
            />
          ) : null}
        </View>
        <Txt kind="small">
          {`Hands from ${say.length(hands.from)} to ${say.length(hands.to)} up.${hang ? roomText(hang, say) : ''}`}
        </Txt>
        <Txt kind="small" soft>
          A lifting figure for healthy adults with a fair hold. Who has a bad back asks for one more.
        </Txt>
      </View>
      <Fold name="from where it is lifted">
        <TapeFields fields={liftFields(job)} />
      </Fold>
    </View>
  );
}

const liftFields = ({ hang }: Job): Field[] => [
  {
    path: 'hang.lift.from',
    label: 'lower edge where it is taken up',
    hint: 'up from the floor: a table, its box',
    kind: 'length',
    value: hang?.lift?.from ?? 0,
    min: 0,
    max: 1500,
    command: (from) => ({ do: 'put', path: 'hang.lift.from', value: from }),
  },
  {
    path: 'hang.lift.turn',
    label: 'the body turns with it by',
    kind: 'angle',
    value: hang?.lift?.turn ?? 0,
    min: 0,
    max: 180,
    command: (turn) => ({ do: 'put', path: 'hang.lift.turn', value: turn }),
  },
];
