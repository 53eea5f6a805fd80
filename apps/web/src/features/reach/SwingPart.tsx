import { View } from 'react-native';
import type { ReachPlan } from '@steddo/contract';
import { bindingName } from '@steddo/text';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';

/** What the set passes over and under anywhere on its way, and how far it sticks out when folded. */
export function SwingPart({ reach }: { reach: ReachPlan }) {
  const { say } = useRoomContext();
  const { clearance, workings } = reach;
  const { below, above } = clearance?.workings ?? {};
  const over = (by: string | undefined) => (by ? bindingName(by, say) : '');
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }} testID="swing">
      {below ? (
        <Figure label={`over ${over(clearance?.belowBy)}`} working={below} size={18} />
      ) : (
        <Txt soft>Nothing stands under it.</Txt>
      )}
      {above ? (
        <Figure label={`under ${over(clearance?.aboveBy)}`} working={above} size={18} />
      ) : (
        <Txt soft>Nothing hangs over it.</Txt>
      )}
      {workings?.protrusion ? (
        <Figure label="folded, its front is out" working={workings.protrusion} size={18} />
      ) : null}
    </View>
  );
}
