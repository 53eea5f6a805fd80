import type { Job } from '@steddo/contract';
import { capital } from '@steddo/text';
import { View } from 'react-native';
import type { Field } from '../../pad/fields';
import { TapeFields } from '../../pad/TapeField';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

/** What is packed under the plate, piece by piece, and how thick it is where the wall stands furthest back. */
export function PackingPart() {
  const { job, plan, say } = useRoomContext();
  return (
    <View testID="packing">
      {(plan.packing ?? []).map((p, i) => (
        <View key={i} style={{ paddingHorizontal: 16, paddingTop: 8 }}>
          <Txt>
            {capital(
              `packing ${say.length(p.thickness)} thick, ${say.length(p.right - p.left)} wide, from ${say.length(p.bottom)} to ${say.length(p.top)} up.`,
            )}
          </Txt>
        </View>
      ))}
      <TapeFields fields={[packingField(job)]} />
    </View>
  );
}

const packingField = ({ choices }: Job): Field => ({
  path: 'choices.packing',
  label: 'packing where the wall is furthest back',
  kind: 'length',
  value: choices?.packing,
  min: 0,
  max: 300,
  command: (value) =>
    value === 0 ? { do: 'drop', path: 'choices.packing' } : { do: 'put', path: 'choices.packing', value },
});
