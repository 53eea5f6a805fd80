import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { MAP_FAIR_DEG, MAP_GOOD_DEG } from '@steddo/drawing';
import { ProgressBar } from '../../ui/ProgressBar';
import { Switch } from '../../ui/Switch';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { told } from '../../worker/told';
import { reachWorker } from '../../worker/reach';
import { useRoomContext } from '../../state/roomState';
import { useArm } from '../../state/armState';

/** A drag in hand changes the job many times; the map waits for it, ms. */
const SETTLE_MS = 250;

/** From where on the floor the set can be seen how well, at the best pose for each place. */
export function CoveragePart() {
  const { job } = useRoomContext();
  const { setMap, map } = useArm();
  const [on, setOn] = useState(map !== undefined);
  const [share, setShare] = useState<number>();
  const asked = useRef(0);
  useEffect(() => {
    if (!on) {
      setMap(undefined);
      return;
    }
    asked.current += 1;
    const mine = asked.current;
    const tell = (done: number, of: number) => mine === asked.current && setShare(done / of);
    const timer = setTimeout(() => {
      setShare(0);
      void told(tell, (tell) => reachWorker().coverage(job, tell)).then((found) => {
        if (mine !== asked.current) return;
        setShare(undefined);
        if (found) setMap(found);
      });
    }, SETTLE_MS);
    return () => clearTimeout(timer);
  }, [on, job, setMap]);
  const stop = () => {
    asked.current += 1;
    setShare(undefined);
    setOn(false);
    void reachWorker().cancel();
  };
  return (
    <View>
      <Switch
        label="map of the floor"
        note="how straight the set can face each place"
        testID="coverage"
        on={on}
        onChange={(next) => (next ? setOn(true) : stop())}
      />
      {share === undefined ? null : <ProgressBar share={share} label="mapping the floor" onCancel={stop} />}
      {map ? <Legend /> : null}
    </View>
  );
}

function Legend() {
  const palette = usePalette();
  const items = [
    { id: 'good', text: `within ${MAP_GOOD_DEG}°`, fill: palette.tape, opacity: 0.75 },
    { id: 'fair', text: `within ${MAP_FAIR_DEG}°`, fill: palette.tape, opacity: 0.3 },
    { id: 'poor', text: `over ${MAP_FAIR_DEG}°`, fill: 'url(#legend-poor)', opacity: 1 },
  ];
  return (
    <View testID="coverage-legend" style={{ flexDirection: 'row', gap: 14, paddingHorizontal: 16, paddingVertical: 8 }}>
      {items.map(({ id, text, fill, opacity }) => (
        <View key={id} style={{ flexDirection: 'row', gap: 6, alignItems: 'center' }}>
          <svg width={22} height={16} aria-hidden="true">
            <pattern id="legend-poor" width="7" height="7" patternUnits="userSpaceOnUse">
              <path d="M0 7L7 0" stroke={palette.soft} strokeWidth="0.8" />
            </pattern>
            <rect width={22} height={16} fill={fill} fillOpacity={opacity} stroke={palette.soft} />
          </svg>
          <Txt kind="small">{text}</Txt>
        </View>
      ))}
    </View>
  );
}
