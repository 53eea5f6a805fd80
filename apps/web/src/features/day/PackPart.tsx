import { View } from 'react-native';
import type { DayPlan, Packed } from '@steddo/contract';
import { packText } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { tickStep, untick } from '../../state/ticks';
import { Switch } from '../../ui/Switch';
import { Txt } from '../../ui/Txt';

/** What has to be in the van, ticked when it is. */
export function PackPart({ pack }: { pack: DayPlan['pack'] }) {
  const { job, say, dispatch, readOnly } = useRoomContext();
  const parts = pack.filter((p) => p.what !== 'tool');
  const tools = pack.filter((p) => p.what === 'tool');
  const left = pack.filter((p) => !p.done).length;
  const row = (item: Packed) => (
    <Switch
      key={item.id}
      label={packText(item, say)}
      {...(item.from === 'get' ? { note: 'to get' } : {})}
      on={item.done}
      disabled={readOnly}
      testID={item.id}
      onChange={(on) => dispatch(on ? tickStep(job, item.id) : untick(job, item.id))}
    />
  );
  return (
    <View testID="pack">
      <View style={{ padding: 16 }}>
        <Txt kind="title" level={2}>
          {left === 0 ? 'Packed' : `To pack, ${left} left`}
        </Txt>
        <Txt kind="small" soft>
          Ticked before leaving the shop. A missing bit is a second visit.
        </Txt>
      </View>
      {parts.map(row)}
      <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>
        <Txt kind="bold" level={2}>
          tools
        </Txt>
      </View>
      {tools.map(row)}
    </View>
  );
}
