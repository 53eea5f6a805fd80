import { View } from 'react-native';
import type { ReachPlan } from '@steddo/contract';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';
import { Figure } from '../../work/Figure';

/** How much cable the arm takes up, and how long each lead has to be. */
export function CablePart({ reach }: { reach: ReachPlan }) {
  const { workings } = reach;
  const { plan } = useRoomContext();
  const leads = plan.leads ?? [];
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }} testID="cable">
      {workings?.cableSlack ? (
        <Figure label="slack, folded, for the full reach" working={workings.cableSlack} size={18} />
      ) : null}
      {leads.map((l) => (
        <Figure key={l.id} label={`${l.what} lead, outlet to set`} working={l.workings.needed} size={18} />
      ))}
      <Txt kind="small" soft>
        Leave the slack before the set is lifted, and tie nothing down that has to move. No mains flex inside the wall.
      </Txt>
    </View>
  );
}
