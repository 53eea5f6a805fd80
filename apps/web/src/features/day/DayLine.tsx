import { View } from 'react-native';
import type { DayStep } from '@steddo/contract';
import { minutesText } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

/** Parts of the day, in their order. */
const PARTS = [
  { name: 'wiring', of: ['site'] },
  { name: 'on the set', of: ['fit'] },
  { name: 'on the wall', of: ['wall'] },
  { name: 'hang', of: ['leads', 'hang'] },
  { name: 'hand over', of: ['over'] },
] as const;

const HEIGHT_PX = 34;

/** The day as a tape: each part as long as its minutes, filled as far as it is done. */
export function DayLine({ steps }: { steps: readonly DayStep[] }) {
  const palette = usePalette();
  const parts = PARTS.map(({ name, of }) => {
    const own = steps.filter((s) => of.some((o) => s.id.startsWith(`${o}.`)));
    const sum = (some: readonly DayStep[]) => some.reduce((total, s) => total + s.minutes, 0);
    return { name, minutes: sum(own), done: sum(own.filter((s) => s.done)) };
  }).filter((p) => p.minutes > 0);
  const said = parts.map((p) => `${p.name} ${minutesText(p.minutes)}, ${minutesText(p.done)} done`).join('; ');
  return (
    <View style={{ padding: 16 }} testID="day-line" role="img" aria-label={`the day as a line: ${said}`}>
      <View style={{ flexDirection: 'row', height: HEIGHT_PX, borderWidth: 1, borderColor: palette.tapeEdge }}>
        {parts.map((p) => (
          <View
            key={p.name}
            style={{
              flexGrow: p.minutes,
              flexBasis: 0,
              backgroundColor: palette.tape,
              borderRightWidth: 1,
              borderRightColor: palette.tapeEdge,
            }}
          >
            <View
              style={{ height: '100%', width: `${(100 * p.done) / p.minutes}%`, backgroundColor: palette.action }}
            />
          </View>
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, marginTop: 6 }}>
        {parts.map((p) => (
          <Txt key={p.name} kind="small" soft>
            {`${p.name} ${minutesText(p.minutes)}`}
          </Txt>
        ))}
      </View>
    </View>
  );
}
