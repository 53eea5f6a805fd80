import { useMemo } from 'react';
import { View } from 'react-native';
import { create } from 'qrcode';
import { Path, Svg } from 'react-native-svg';
import { light } from '../../ui/tokens';

/** Modules of quiet round it: fewer than four and some cameras do not find it (ISO/IEC 18004, from memory). */
const QUIET = 4;
const SIDE_PX = 232;

/** A text as a picture that a camera reads; dark on light at night too, for the camera's sake. */
export function CodePicture({ text, label }: { text: string; label: string }) {
  const { path, side } = useMemo(() => picture(text), [text]);
  return (
    <View role="img" aria-label={label} style={{ backgroundColor: light.sheet }}>
      <Svg width={SIDE_PX} height={SIDE_PX} viewBox={`${-QUIET} ${-QUIET} ${side} ${side}`}>
        <Path d={path} fill={light.ink} />
      </Svg>
    </View>
  );
}

function picture(text: string): { path: string; side: number } {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size, data } = modules;
  const parts: string[] = [];
  data.forEach((dark, i) => {
    if (dark) parts.push(`M${i % size} ${Math.floor(i / size)}h1v1h-1z`);
  });
  return { path: parts.join(''), side: size + 2 * QUIET };
}
