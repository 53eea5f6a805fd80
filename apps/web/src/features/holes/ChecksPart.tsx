import type { Obligation, ObligationId } from '@steddo/contract';
import { capital, CHECKS, checkNumbers } from '@steddo/text';
import { View } from 'react-native';
import { Txt } from '../../ui/Txt';
import { useRoomContext } from '../../state/roomState';

/** How far a number is from its limit, as a share of it. */
const slackOf = ({ found, needed }: Obligation): number => Math.abs(found - needed) / Math.max(1, Math.abs(needed));

/** What was checked of the finished plan, one line each: how often, and the numbers of the closest. */
export function ChecksPart() {
  const { plan, say } = useRoomContext();
  const byId = new Map<ObligationId, Obligation[]>();
  for (const o of plan.checked ?? []) byId.set(o.id, [...(byId.get(o.id) ?? []), o]);
  return (
    <View style={{ padding: 16, gap: 8 }} testID="checks">
      {[...byId].map(([id, all]) => {
        const open = all.filter((o) => !o.holds);
        const shown = open[0] ?? all.reduce((a, b) => (slackOf(b) < slackOf(a) ? b : a));
        const times = all.length > 1 ? `, ${all.length} times` : '';
        return (
          <View key={id} testID={`check-${id}`}>
            <Txt kind={open.length > 0 ? 'bold' : undefined}>{`${capital(CHECKS[id])}${times}`}</Txt>
            {open.length > 0 || shown.unit !== 'count' ? (
              <Txt kind="small" soft>{`${open.length > 0 ? 'open: ' : ''}${checkNumbers(shown, say)}`}</Txt>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
