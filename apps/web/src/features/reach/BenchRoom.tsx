import { View } from 'react-native';
import type { BenchClearance, BenchPlan } from '@steddo/contract';
import { benchThing, capital } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';

/** What a head over a bench leaves free all round, and where the set is to the eyes before it. */
export function BenchRoom({ bench }: { bench: BenchPlan }) {
  const { say } = useRoomContext();
  return (
    <View testID="bench-room" style={{ paddingVertical: 8, gap: 12 }}>
      {bench.clearances.map((c) => (
        <ClearanceRow key={c.side} clearance={c} />
      ))}
      {bench.eyes.map(({ viewer, workings }) => (
        <View key={viewer} testID={`bench-eyes-${viewer}`} style={{ paddingHorizontal: 16, gap: 4 }}>
          <Txt kind="bold">{capital(say.thing(viewer))}</Txt>
          <View style={ROW}>
            <Figure label="upper edge above the eyes" working={workings.top} size={18} />
            {workings.near ? <Figure label="away, pulled out" working={workings.near} size={18} /> : null}
            {workings.far ? <Figure label="away, pushed back" working={workings.far} size={18} /> : null}
          </View>
        </View>
      ))}
    </View>
  );
}

const ROW = { flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 } as const;

const TO: Record<BenchClearance['side'], string> = {
  above: 'Up to',
  below: 'Down to',
  left: 'Left to',
  right: 'Right to',
};

function ClearanceRow({ clearance: c }: { clearance: BenchClearance }) {
  const { say } = useRoomContext();
  const moves = c.side === 'above' || c.side === 'below' ? 'tilted' : 'swung';
  const all = `${moves === 'tilted' ? 'Tilts' : 'Swings'} ${say.degrees(c.until ?? c.limit)} that way${
    c.until === undefined ? ', all that its head has' : `, of ${say.degrees(c.limit)}`
  }; ${c.turned <= c.free ? 'can be turned on its end there' : 'pull it out before it is turned on its end'}.`;
  return (
    <View testID={`bench-${c.side}`} style={{ paddingHorizontal: 16, gap: 4 }}>
      <Txt kind="bold">{`${TO[c.side]} ${benchThing(c.by, say)}`}</Txt>
      <View style={ROW}>
        <Figure label="free from the head" working={c.workings.free} size={18} />
        <Figure label="takes as it hangs" working={c.workings.rest} size={18} />
        <Figure label={`takes ${moves}`} working={c.workings.moved} size={18} />
        <Figure label="takes turned" working={c.workings.turned} size={18} />
      </View>
      <Txt kind="small">{all}</Txt>
    </View>
  );
}
