import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Polygon, Polyline, Svg } from 'react-native-svg';
import type { PicturePlace, PictureSize } from '@steddo/core/photo';
import { useDrag } from '../../canvas/useDrag';
import { IconTap } from '../../ui/Action';
import { target } from '../../ui/tokens';
import type { Paint } from '../../worker/paint';
import { CornerTap } from './CornerTap';
import type { Cross } from './laidCrosses';
import { Loupe } from './Loupe';
import { begunAt, closer, fitted, further, panned, reachOf, type PhotoView } from './photoView';

export interface FrameProps {
  url: string;
  alt: string;
  size: PictureSize;
  crosses: readonly Cross[];
  paints: readonly Paint[];
  movable: boolean;
  /** A cross on its way, and let go: by a finger, or by the arrow keys. */
  onMove: (i: number, to: PicturePlace, how: 'moving' | 'dragged' | 'keyed') => void;
}

/** The photograph as large as it goes, or closer; what is drawn on it, and the crosses that are laid onto it. */
export function PhotoFrame({ url, alt, size, crosses, paints, movable, onMove }: FrameProps) {
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const [held, setHeld] = useState<number>();
  const [asked, setAsked] = useState<PhotoView>();
  const view = asked ?? fitted(size);
  const fit = Math.min(room.width / size.width, room.height / size.height);
  const scale = fit * view.factor;
  const shown = { width: size.width * scale, height: size.height * scale };
  const seen = crosses.map((c, i) => (c.laid || i === held ? c : { ...c, at: begunAt(c.at, view, size) }));
  const at = held === undefined ? undefined : crosses[held]?.at;
  const from = useRef(view);
  const pan = useDrag(
    {
      onDown: () => (from.current = view),
      onMove: (dx, dy) => setAsked(panned(from.current, { u: -dx / scale, v: -dy / scale }, size)),
      onDone: () => undefined,
      onCancel: () => setAsked(from.current),
    },
    view.factor > 1,
  );
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
  return (
    <View
      testID="photo-frame"
      style={{ flex: 1, overflow: 'hidden' }}
      onLayout={({ nativeEvent: { layout } }) => setRoom({ width: layout.width, height: layout.height })}
    >
      {fit > 0 ? (
        <View
          style={{
            position: 'absolute',
            ...shown,
            left: room.width / 2 - view.middle.u * scale,
            top: room.height / 2 - view.middle.v * scale,
            ...({ touchAction: 'none' } as object),
          }}
        >
          <div {...pan} style={{ position: 'absolute', inset: 0, touchAction: 'none' }}>
            <img src={url} alt={alt} draggable={false} style={{ position: 'absolute', ...shown }} />
          </div>
          <Svg
            viewBox={`0 0 ${size.width} ${size.height}`}
            width={shown.width}
            height={shown.height}
            style={{ position: 'absolute' }}
            pointerEvents="none"
          >
            {paints.map((p, i) => (
              <Painted key={i} paint={p} perPx={1 / scale} />
            ))}
          </Svg>
          {movable
            ? seen.map((cross, i) => (
                <CornerTap
                  key={cross.name}
                  name={cross.name}
                  tap={cross.at}
                  scale={scale}
                  reach={reachOf(seen, i, scale, target)}
                  fine={cross.laid}
                  testID={`corner-${i}`}
                  onMove={(to, how) => {
                    setHeld(how === 'moving' ? i : undefined);
                    onMove(i, { u: within(to.u, size.width), v: within(to.v, size.height) }, how);
                  }}
                />
              ))
            : null}
        </View>
      ) : null}
      <View style={{ position: 'absolute', right: 0, bottom: 0, flexDirection: 'row' }}>
        {view.factor > 1 ? (
          <IconTap
            icon="minus"
            label="further away"

            onPress={() => setAsked(further(view, size))}
          />
        ) : null}
        <IconTap
          icon="plus"
          label="closer"

          onPress={() =>
            setAsked(
              closer(
                view,
                crosses.filter((c) => c.laid),
                size,
              ),
            )
          }
        />
      </View>
      {at ? <Loupe url={url} size={size} at={at} left={at.u > view.middle.u} /> : null}
    </View>
  );
}

/** Lines stay as wide as they are in the picture that is kept, and no thinner than can be seen. */
function Painted({ paint: { points, colour, opacity, line }, perPx }: { paint: Paint; perPx: number }) {
  const text = points.map(({ u, v }) => `${u.toFixed(2)},${v.toFixed(2)}`).join(' ');
  if (line === undefined) return <Polygon points={text} fill={colour} fillOpacity={opacity} />;
  const width = Math.max(line, LEAST_LINE_PX * perPx);
  return <Polyline points={text} fill="none" stroke={colour} strokeOpacity={opacity} strokeWidth={width} />;
}
const LEAST_LINE_PX = 2;
