import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-chart-kit';
import { font, usePalette } from '../ui/tokens';
import { useRoomContext } from '../state/roomState';

const HEIGHT_PX = 200;
const LABELS = 4;

/** Share of what the worst fastener may hold against how far out the set is, with the line that it may not pass. */
export default function UtilisationChart({ curve }: { curve: readonly { extension: number; utilisation: number }[] }) {
  const palette = usePalette();
  const { say } = useRoomContext();
  const [width, setWidth] = useState(0);
  const ink = (colour: string) => () => colour;
  const every = Math.max(1, Math.ceil(curve.length / LABELS));
  const data = {
    labels: curve.map((c, i) => (i % every === 0 ? say.length(c.extension) : '')),
    datasets: [
      { data: curve.map((c) => Math.ceil(c.utilisation * 100)), color: ink(palette.ink), strokeWidth: 2.5 },
      {
        data: curve.map(() => 100),
        color: ink(palette.stop),
        strokeWidth: 2,
        withDots: false,
        strokeDashArray: [6, 4],
      },
    ],
  };
  return (
    <View
      testID="use-chart"
      role="img"
      aria-label="share of what the worst fastener may hold against how far out the set is; the table below has the numbers"
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ minHeight: HEIGHT_PX }}
    >
      {width > 0 ? (
        <LineChart
          data={data}
          width={width}
          height={HEIGHT_PX}
          fromZero
          yAxisSuffix=" %"
          withShadow={false}
          withVerticalLines={false}
          chartConfig={{
            backgroundGradientFrom: palette.ground,
            backgroundGradientTo: palette.ground,
            decimalPlaces: 0,
            color: ink(palette.soft),
            labelColor: ink(palette.ink),
            propsForDots: { r: '3' },
            propsForLabels: { ...font.text, fontSize: 12 },
            propsForBackgroundLines: { stroke: palette.hairline },
          }}
        />
      ) : null}
    </View>
  );
}
