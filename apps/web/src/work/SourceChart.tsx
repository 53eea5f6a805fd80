import { useState } from 'react';
import { View } from 'react-native';
import { BarChart } from 'react-native-chart-kit';
import type { TolerancePlan } from '@steddo/contract';
import { sourceName } from '@steddo/text';
import { font, usePalette } from '../ui/tokens';

const HEIGHT_PX = 220;

/** In how many of a hundred jobs a hole misses, as it is and with one error left out. */
export default function SourceChart({ tolerance }: { tolerance: TolerancePlan }) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const ink = (colour: string) => () => colour;
  const misses = (landed: number) => Math.round((1 - landed) * 1000) / 10;
  const bars = [
    { name: 'as it is', value: misses(tolerance.allLand) },
    ...tolerance.sources.map((s) => ({ name: SHORT[s.id], value: misses(s.allLand) })),
  ];
  return (
    <View
      testID="tolerance-chart"
      role="img"
      aria-label={`in how many of a hundred jobs a hole misses, with one error left out: ${tolerance.sources
        .map((s) => sourceName(s.id))
        .join(', ')}; the table below has the numbers`}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ minHeight: HEIGHT_PX }}
    >
      {width > 0 ? (
        <BarChart
          data={{ labels: bars.map((b) => b.name), datasets: [{ data: bars.map((b) => b.value) }] }}
          width={width}
          height={HEIGHT_PX}
          fromZero
          yAxisLabel=""
          yAxisSuffix=""
          withInnerLines={false}
          chartConfig={{
            backgroundGradientFrom: palette.ground,
            backgroundGradientTo: palette.ground,
            decimalPlaces: 1,
            barPercentage: 0.55,
            color: ink(palette.ink),
            labelColor: ink(palette.ink),
            fillShadowGradientFrom: palette.tapeEdge,
            fillShadowGradientTo: palette.tapeEdge,
            fillShadowGradientFromOpacity: 1,
            fillShadowGradientToOpacity: 1,
            propsForLabels: { ...font.text, fontSize: 11 },
          }}
        />
      ) : null}
    </View>
  );
}

/** Under a bar there is room for one word. */
const SHORT: Record<TolerancePlan['sources'][number]['id'], string> = {
  tape: 'tape',
  reading: 'sums',
  mark: 'marks',
  drill: 'drill',
  level: 'level',
  finder: 'finder',
  print: 'print',
};
