import { memo, useEffect, useMemo, useRef, useState, type ReactNode, type RefObject } from 'react';
import { View } from 'react-native';
import type { Units } from '@steddo/contract';
import {
  fitView,
  placeLabels,
  scaleBar,
  type Box,
  type Scene,
  type Shape,
  type View as SceneView,
} from '@steddo/drawing';
import type { Zoomer } from '../state/canvasState';
import { usePosture } from '../ui/usePosture';
import { useSame } from '../ui/useSame';
import { font, usePalette } from '../ui/tokens';
import { MarkLabel } from './MarkLabel';
import { Names } from './Names';
import { HoldContext } from './hold';
import { Shapes } from './shapes';
import { useZoom } from './useZoom';
import { zoomed } from './zoom';

const LABEL = { charPx: 8.4, heightPx: 24 } as const;
/** Room that a hole's cross needs, px to each side. */
const HOLE_PX = 10;

export interface DrawingProps {
  scene: Scene;
  /** What is in view; the scene's focus unless the whole is asked for. */
  box: Box;
  label: string;
  testID: string;
  /** Handed to whoever brings it closer by keys or buttons. */
  zoomer?: RefObject<Zoomer | undefined>;
  /** Told when it is seen closer than it fits, and when it fits again. */
  onZoomed?: (closer: boolean) => void;
  units: Units;
  over?: (view: SceneView) => ReactNode;
  /** Between the wall and what is drawn on it. */
  behind?: (view: SceneView) => ReactNode;
}

/** A scene to scale: shapes, tape, names, a scale bar. */
export function Drawing({ scene, box, label, testID, zoomer: handed, onZoomed, units, over, behind }: DrawingProps) {
  const palette = usePalette();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const { width, height } = size;
  const { left, right, bottom, top } = box;
  const stands = scene.shapes.some((s) => s.role === 'floor') ? 'floor' : 'middle';
  const fitted = useMemo(
    () => fitView({ left, right, bottom, top }, { width, height, padPx: 16, stands }),
    [left, right, bottom, top, width, height, stands],
  );
  const { view: steady, held, hold } = useHeld(fitted);
  const { zoom, zoomer, wheel, gestures } = useZoom(size, hold.isTaken);
  const view = useMemo(() => zoomed(steady, zoom), [steady, zoom]);
  const closer = zoom.factor > 1;
  useEffect(() => onZoomed?.(closer), [onZoomed, closer]);
  useEffect(() => {
    if (handed) handed.current = zoomer;
  });
  const low = usePosture() === 'low';
  // the large one of its page: the wheel over it is not for scrolling
  const main = handed !== undefined;
  const ground = useLayer(scene, (s) => s.role === 'wall');
  const under = useLayer(scene, (s) => s.role !== 'wall' && !MOVING.has(s.role) && !ON_TOP.has(s.role));
  const moving = useLayer(scene, (s) => MOVING.has(s.role));
  const onTop = useLayer(scene, (s) => !MOVING.has(s.role) && ON_TOP.has(s.role));
  const still = useMemo(() => [...ground, ...under, ...onTop], [ground, under, onTop]);
  const placed = useMemo(() => (width > 0 ? tapeOn(scene, view, size) : []), [scene, view, size, width]);
  return (
    <View
      testID="canvas"
      style={{ flex: 1, minHeight: 120, backgroundColor: palette.ground, overflow: 'hidden' }}
      onLayout={(e) =>
        setSize({
          width: Math.round(e.nativeEvent.layout.width),
          height: Math.round(e.nativeEvent.layout.height),
        })
      }
    >
      {width > 0 ? (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={label}
          data-scale={view.scale}
          data-testid={testID}
          ref={main ? wheel : undefined}
          {...gestures}
          // in what scrolls a finger on a drawing that fits scrolls it, and two bring the drawing closer
          style={{
            display: 'block',
            touchAction: closer || (main && !low) ? 'none' : 'pan-y',
            cursor: closer ? 'grab' : 'auto',
          }}
        >
          <Shapes shapes={ground} view={view} palette={palette} />
          {behind?.(view)}
          <Shapes shapes={under} view={view} palette={palette} />
          <Shapes shapes={moving} view={view} palette={palette} />
          <Shapes shapes={onTop} view={view} palette={palette} />
          <Names shapes={still} around={held ? still : scene.shapes} view={view} size={size} taken={placed} />
          <ScaleBar view={view} width={width} units={units} />
          {placed.map((l) => (
            <MarkLabel key={l.id} label={l} />
          ))}
        </svg>
      ) : null}
      <HoldContext.Provider value={hold}>{width > 0 ? over?.(view) : null}</HoldContext.Provider>
    </View>
  );
}

/** Shapes that move together: the same ones as long as what they show is, so that only what moves is drawn anew. */
const useLayer = (scene: Scene, belongs: (s: Shape) => boolean): Shape[] => useSame(scene.shapes.filter(belongs));

/** The fitted view, or the one that was when something was taken into the hand, until it is let go. */
function useHeld(fitted: SceneView) {
  const [taken, setTaken] = useState<SceneView>();
  const latest = useRef({ fitted, taken });
  latest.current = { fitted, taken };
  const hold = useMemo(
    () => ({
      take: () => setTaken(latest.current.fitted),
      letGo: () => setTaken(undefined),
      isTaken: () => latest.current.taken !== undefined,
    }),
    [],
  );
  return { view: taken ?? fitted, held: taken !== undefined, hold };
}

const MOVING = new Set(['set', 'picture', 'plate', 'open', 'slot', 'hook', 'centre-line']);
const ON_TOP = new Set([
  'cover',
  'hole',
  'insert',
  'arm',
  'arm-hole',
  'asked',
  'settled',
  'stud-mark',
  'level-mark',
  'odd-mark',
  'live-mark',
  'poke',
  'poke-wood',
  'look',
  'look-met',
  'ribbon',
  'ribbon-ground',
  'next-look',
  'hazard-seen',
]);

function tapeOn(scene: Scene, view: SceneView, size: { width: number; height: number }) {
  const holes = scene.shapes.flatMap((s) => (s.kind === 'cross' ? [view.toPx(s.x, s.y)] : []));
  // an outlet under the set and the plate's slots stay in sight
  const inSight = scene.shapes.flatMap((s) => {
    if (s.kind === 'rect' && (s.role === 'cover' || s.role === 'slot' || s.role === 'plate')) return [pxBox(s, view)];
    if (s.kind === 'rect' && s.role === 'set') return [gripOf(s, view)];
    if (s.kind !== 'circle') return [];
    const { x, y, r } = s;
    return [pxBox({ left: x - r, right: x + r, bottom: y - r, top: y + r }, view)];
  });
  const keepClear = [
    ...inSight,
    ...holes.map(({ x, y }) => ({
      x: x - HOLE_PX,
      y: y - HOLE_PX,
      width: 2 * HOLE_PX,
      height: 2 * HOLE_PX,
    })),
    { x: size.width - 120, y: 0, width: 120, height: 32 },
  ];
  return placeLabels(scene.labels, { view: size, keepClear, toPx: view.toPx, ...LABEL });
}

/** The arrows in the middle of the set, by which it is taken. */
function gripOf(s: Box, view: SceneView) {
  const { x, y } = view.toPx((s.left + s.right) / 2, (s.bottom + s.top) / 2);
  return { x: x - 10, y: y - 18, width: 20, height: 36 };
}

function pxBox(s: Box, view: SceneView) {
  const a = view.toPx(s.left, s.top);
  const b = view.toPx(s.right, s.bottom);
  return { x: a.x, y: a.y, width: b.x - a.x, height: b.y - a.y };
}

const ScaleBar = memo(function ScaleBar({ view, width, units }: { view: SceneView; width: number; units: Units }) {
  const palette = usePalette();
  const bar = scaleBar(view.scale, 90, units);
  const long = bar.mm * view.scale;
  const x = width - 14 - long;
  return (
    <g stroke={palette.ink} strokeWidth={1.4} data-testid="scale-bar" data-mm={bar.mm} data-px={long}>
      <path d={`M${x} 9v8M${x} 13h${long}M${x + long} 9v8M${x + long / 2} 10.500v5`} fill="none" />
      <text
        x={x + long / 2}
        y={27}
        textAnchor="middle"
        fontSize={11}
        stroke="none"
        fill={palette.soft}
        style={font.text}
      >
        {bar.text}
      </text>
    </g>
  );
});
