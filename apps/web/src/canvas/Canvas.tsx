import { useMemo, useState, type KeyboardEvent } from 'react';
import { View } from 'react-native';
import {
  faceScene,
  fitView,
  placeLabels,
  scaleBar,
  type LabelSet,
  type View as SceneView,
} from '@steddo/drawing';
import { useRoomContext } from '../features/room/RoomContext';
import { Tap } from '../ui/Tap';
import { font, usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { MarkLabel } from './MarkLabel';
import { Names } from './Names';
import { Shapes } from './shapes';
import { useDrag } from './useDrag';
import { useMoveSet } from './useMoveSet';

const LABEL = { charPx: 8.4, heightPx: 24 } as const;
/** Room that a hole's cross needs, px to each side. */
const HOLE_PX = 10;

/** The wall, face on, to scale. On the height's stage the set can be dragged, or moved by the arrow keys. */
export function Canvas({ labels, movable }: { labels: LabelSet; movable: boolean }) {
  const { job, plan } = useRoomContext();
  const palette = usePalette();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [whole, setWhole] = useState(false);
  const scene = useMemo(() => faceScene(job, plan, labels), [job, plan, labels]);
  const { width, height } = size;
  const box = whole ? scene.bounds : scene.focus;
  // The view follows the wall and not the set, so that a dragged set moves under a standing wall.
  const key = JSON.stringify([whole ? box : frozenBox(box), width, height]);
  const view = useMemo(() => fitView(whole ? box : frozenBox(box), width, height, 16), [key]);
  const still = useMemo(() => scene.shapes.filter((s) => !MOVING.has(s.role)), [scene]);
  const moving = useMemo(() => scene.shapes.filter((s) => MOVING.has(s.role)), [scene]);
  const placed = useMemo(
    () => (width > 0 ? tapeOn(scene, view, size) : []),
    [scene, view, size, width],
  );
  return (
    <View
      testID="canvas"
      style={{ flex: 1, minHeight: 160, backgroundColor: palette.ground, overflow: 'hidden' }}
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
          aria-label={`the wall, face on, to scale: ${describe(job, plan.placement)}`}
          data-scale={view.scale}
          data-testid="face"
          style={{ display: 'block', touchAction: movable ? 'none' : 'auto' }}
        >
          <Shapes
            shapes={still.filter((s) => s.role !== 'cover' && s.role !== 'hole')}
            view={view}
            palette={palette}
          />
          <Shapes shapes={moving} view={view} palette={palette} />
          <Shapes
            shapes={still.filter((s) => s.role === 'cover' || s.role === 'hole')}
            view={view}
            palette={palette}
          />
          <Names shapes={still} view={view} width={width} taken={placed} />
          <ScaleBar view={view} width={width} />
          {placed.map((l) => (
            <MarkLabel key={l.id} label={l} />
          ))}
        </svg>
      ) : null}
      {movable && plan.placement ? <SetHandle view={view} /> : null}
      <View style={{ position: 'absolute', left: 6, top: 0 }}>
        <Tap
          label={whole ? 'show the set closer' : 'show the whole wall'}
          onPress={() => setWhole(!whole)}
          style={{ paddingHorizontal: 8 }}
        >
          <Txt kind="small" style={{ textDecorationLine: 'underline' }}>
            {whole ? 'closer' : 'whole wall'}
          </Txt>
        </Tap>
      </View>
    </View>
  );
}

const MOVING = new Set(['set', 'picture', 'plate', 'open', 'slot', 'hook', 'centre-line']);

/** Rounded outwards to steps that a drag within the view does not leave. */
const STEP_MM = 200;
function frozenBox<B extends { left: number; right: number; bottom: number; top: number }>(box: B) {
  return {
    left: Math.floor(box.left / STEP_MM) * STEP_MM,
    right: Math.ceil(box.right / STEP_MM) * STEP_MM,
    bottom: Math.floor(box.bottom / STEP_MM) * STEP_MM,
    top: Math.ceil(box.top / STEP_MM) * STEP_MM,
  };
}

function tapeOn(
  scene: ReturnType<typeof faceScene>,
  view: SceneView,
  size: { width: number; height: number },
) {
  const holes = scene.shapes.flatMap((s) => (s.kind === 'cross' ? [view.toPx(s.x, s.y)] : []));
  // an outlet under the set and the plate's slots stay in sight
  const inSight = scene.shapes.flatMap((s) =>
    s.kind === 'rect' && (s.role === 'cover' || s.role === 'slot') ? [pxBox(s, view)] : [],
  );
  const keepClear = [
    ...inSight,
    ...holes.map(({ x, y }) => ({
      x: x - HOLE_PX,
      y: y - HOLE_PX,
      width: 2 * HOLE_PX,
      height: 2 * HOLE_PX,
    })),
    { x: 0, y: 0, width: 96, height: 40 },
    { x: size.width - 120, y: 0, width: 120, height: 32 },
  ];
  return placeLabels(scene.labels, { view: size, keepClear, toPx: view.toPx, ...LABEL });
}

function pxBox(s: { left: number; right: number; bottom: number; top: number }, view: SceneView) {
  const a = view.toPx(s.left, s.top);
  const b = view.toPx(s.right, s.bottom);
  return { x: a.x, y: a.y, width: b.x - a.x, height: b.y - a.y };
}

function ScaleBar({ view, width }: { view: SceneView; width: number }) {
  const { job } = useRoomContext();
  const palette = usePalette();
  const bar = scaleBar(view.scale, 90, job.units);
  const long = bar.mm * view.scale;
  const x = width - 14 - long;
  return (
    <g
      stroke={palette.ink}
      strokeWidth={1.4}
      data-testid="scale-bar"
      data-mm={bar.mm}
      data-px={long}
    >
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
}

function describe(
  job: { title: string },
  placement: { centre: { y: number } } | undefined,
): string {
  return placement ? `${job.title} with the set on it` : `${job.title}, nothing placed yet`;
}

/** The set as a slider for thumb and keyboard, at least 48 px each way, over its drawing. */
function SetHandle({ view }: { view: SceneView }) {
  const { plan, say } = useRoomContext();
  const palette = usePalette();
  const move = useMoveSet();
  const p = plan.placement!;
  const a = view.toPx(p.left, p.top);
  const b = view.toPx(p.right, p.bottom);
  const drag = useDrag(
    {
      onMove: (dx, dy) => move.drag(dx / view.scale, -dy / view.scale),
      onDone: (dx, dy) => move.drop(dx / view.scale, -dy / view.scale),
      onCancel: move.cancel,
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1;
    const by = {
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
    }[e.key];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    move.nudge(by[0]!, by[1]!);
  };
  const range = p.feasible;
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="height of the set's centre; up and down move it, left and right move it sideways"
      aria-orientation="vertical"
      aria-valuemin={Math.round(range[0]?.[0] ?? p.centre.y)}
      aria-valuemax={Math.round(range.at(-1)?.[1] ?? p.centre.y)}
      aria-valuenow={Math.round(p.centre.y)}
      aria-valuetext={`centre ${say.length(p.centre.y)} from the floor, ${say.length(p.centre.x)} from the left`}
      data-testid="set-handle"
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: (a.x + b.x) / 2 - Math.max(b.x - a.x, 48) / 2,
        top: (a.y + b.y) / 2 - Math.max(b.y - a.y, 48) / 2,
        width: Math.max(b.x - a.x, 48),
        height: Math.max(b.y - a.y, 48),
        cursor: 'grab',
        touchAction: 'none',
      }}
    >
      <svg
        width={20}
        height={36}
        style={{
          position: 'absolute',
          left: '50%',
          top: '50%',
          transform: 'translate(-50%, -50%)',
          pointerEvents: 'none',
        }}
        aria-hidden="true"
      >
        <path d="M10 2l-6 8h12zM10 34l-6-8h12z" fill={palette.action} />
      </svg>
    </div>
  );
}
