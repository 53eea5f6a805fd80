import { useState } from 'react';
import { View } from 'react-native';
import { Polygon, Polyline, Svg } from 'react-native-svg';
import type { PicturePlace } from '@steddo/core/photo';
import type { Paint } from '../../worker/paint';
import { CornerTap } from './CornerTap';
import { Loupe } from './Loupe';

export interface FrameProps {
  url: string;
  alt: string;
  size: { width: number; height: number };
  taps: readonly PicturePlace[];
  names: readonly string[];
  paints: readonly Paint[];
  movable: boolean;
  /** Corners that were laid before. */
  laid: readonly number[];
  /** While a corner is dragged; with its number as it is let go. */
  onMove: (taps: readonly PicturePlace[], laid: number | undefined) => void;
}

/** The photograph as large as it goes, what is drawn on it, and the corners that are tapped. */
export function PhotoFrame({ url, alt, size, taps, names, paints, movable, laid, onMove }: FrameProps) {
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const [held, setHeld] = useState<number>();
  const scale = Math.min(room.width / size.width, room.height / size.height);
  const shown = { width: size.width * scale, height: size.height * scale };
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const move = (i: number, to: PicturePlace, done: boolean) => {
    const kept = { u: within(to.u, size.width), v: within(to.v, size.height) };
    setHeld(done ? undefined : i);
    onMove(
      taps.map((tap, k) => (k === i ? kept : tap)),
      done ? i : undefined,
    );
  };
  const at = held === undefined ? undefined : taps[held];
  return (
    <View
      testID="photo-frame"
      style={{ flex: 1, alignItems: 'center', justifyContent: 'center', overflow: 'hidden' }}
      onLayout={({ nativeEvent: { layout } }) => setRoom({ width: layout.width, height: layout.height })}
    >
      {scale > 0 ? (
        <View style={{ ...shown, ...({ touchAction: 'none' } as object) }}>
          <img src={url} alt={alt} draggable={false} style={{ position: 'absolute', ...shown }} />
          <Svg
            viewBox={`0 0 ${size.width} ${size.height}`}
            width={shown.width}
            height={shown.height}
            style={{ position: 'absolute' }}
            pointerEvents="none"
          >
            {paints.map((p, i) => (
              <Painted key={i} paint={p} />
            ))}
          </Svg>
          {movable
            ? taps.map((tap, i) => (
                <CornerTap
                  key={i}
                  name={names[i] ?? ''}
                  tap={tap}
                  scale={scale}
                  fine={laid.includes(i)}
                  testID={`corner-${i}`}
                  onMove={(to, done) => move(i, to, done)}
                />
              ))
            : null}
        </View>
      ) : null}
      {at ? <Loupe url={url} size={size} at={at} left={at.u > size.width / 2} /> : null}
    </View>
  );
}

function Painted({ paint: { points, colour, opacity, line } }: { paint: Paint }) {
  const text = points.map(({ u, v }) => `${u.toFixed(2)},${v.toFixed(2)}`).join(' ');
  if (line === undefined) return <Polygon points={text} fill={colour} fillOpacity={opacity} />;
  return <Polyline points={text} fill="none" stroke={colour} strokeOpacity={opacity} strokeWidth={line} />;
}
