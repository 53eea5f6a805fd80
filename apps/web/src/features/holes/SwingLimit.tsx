import { View } from 'react-native';
import { TapeFields } from '../../pad/TapeField';
import { useRoomContext } from '../../state/roomState';
import { Switch } from '../../ui/Switch';
import { Txt } from '../../ui/Txt';

/** How far the arm may swing aside: what the sums allow, what was agreed, and whether something holds it there. */
export function SwingLimit() {
  const { job, plan, say, dispatch, readOnly } = useRoomContext();
  const { maxAside, asideHeld = false } = job.choices ?? {};
  const limit = plan.loads?.maxAside;
  if (!plan.loads || plan.loads.leaned === undefined) return null;
  if (!limit && maxAside === undefined) return null;
  return (
    <View testID="swing-limit" style={{ paddingVertical: 6 }}>
      <View style={{ paddingHorizontal: 16, gap: 2 }}>
        <Txt kind="bold">how far aside the arm may go</Txt>
        {limit?.go === undefined ? null : (
          <Txt kind="small">{`Inside the tables: the set's middle ${say.length(limit.go)} to either side of its screws.`}</Txt>
        )}
        {limit?.label === undefined || limit.label === limit.go ? null : (
          <Txt kind="small">{`As far as a maker's rating may cover it: ${say.length(limit.label)}.`}</Txt>
        )}
      </View>
      <TapeFields
        fields={[
          {
            path: 'choices.maxAside',
            label: 'kept within',
            hint: 'to either side of the screws',
            kind: 'length',
            ...(maxAside === undefined ? {} : { value: maxAside }),
            min: 0,
            max: job.room.wall.width,
            command: (value) => ({ do: 'put', path: 'choices.maxAside', value }),
          },
        ]}
      />
      {maxAside === undefined ? null : (
        <Switch
          label="something stops it there"
          note="a stop screw or a tether; a word to the customer is not enough"
          on={asideHeld}
          disabled={readOnly}
          testID="aside-held"
          onChange={(on) => dispatch({ do: 'put', path: 'choices.asideHeld', value: on })}
        />
      )}
    </View>
  );
}
