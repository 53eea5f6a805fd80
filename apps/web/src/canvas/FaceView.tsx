import { useMemo } from 'react';
import { faceScene, mirrorScene, mirrored, unfoldedFace, type LabelSet, type View as SceneView } from '@steddo/drawing';
import { useRoomContext, useSeenWall } from '../state/roomState';
import type { BuiltStage } from '../state/stageIds';
import { useCanvas } from '../state/canvasState';
import { useSwung } from '../state/armState';
import { useTool, useWallLook } from '../state/wallState';
import { CornerHandles } from './CornerHandles';
import { Drawing, type DrawingProps } from './Drawing';
import { ItemHandles } from './ItemHandles';
import { wallMovables } from './movables';
import { useFlatWall, type FlatWall } from '../state/useFlatWall';
import { SetHandle } from './SetHandle';
import { ToolHandle } from './ToolHandle';
import { TraceLayer } from './TraceLayer';

export interface FaceProps extends Pick<DrawingProps, 'zoomer' | 'onZoomed'> {
  stage: BuiltStage;
  labels: LabelSet;
  movable: boolean;
  whole: boolean;
}

/** The wall, face on. At the height's stage the set can be moved, at the room's the things on the wall. */
export function FaceView({ stage, labels, movable, whole, ...zoom }: FaceProps) {
  const { job, plan, readOnly } = useRoomContext();
  const swung = useSwung(stage);
  const look = useWallLook(stage);
  const tool = useTool(stage);
  const { trace: asked, held, behind } = useCanvas();
  const flat = useFlatWall(behind > 0);
  // each is traced at its own stage
  const trace = (asked === 'zone' && stage === 'room') || (asked === 'backing' && stage === 'wall');
  const zone = job.room.wall.zones?.find((z) => z.id === held && (z.wall ?? 'main') === 'main');
  const wall = useSeenWall();
  const unfolded = plan.corner !== undefined && wall === undefined;
  const turned = wall === 'left';
  const { width } = job.room.wall;
  const scene = useMemo(() => {
    if (unfolded) return unfoldedFace(job, plan, labels);
    const own = faceScene(job, plan, labels, { swung, look });
    return turned ? mirrorScene(own, width) : own;
  }, [job, plan, labels, swung, look, unfolded, turned, width]);
  // the view follows the wall and not the set, so that a dragged set moves under a standing wall
  const box = whole || trace || stage === 'room' ? scene.bounds : frozenBox(scene.focus);
  const things = stage === 'room' && !readOnly;
  return (
    <Drawing
      {...zoom}
      scene={scene}
      box={box}
      units={job.units}
      label={`the wall, face on, to scale: ${describe(job.title, Boolean(plan.placement))}`}
      testID="face"
      {...(flat && behind > 0 && !unfolded && !turned
        ? { behind: (view) => <Behind flat={flat} view={view} share={behind} /> }
        : {})}
      over={(shown) => {
        const view = turned ? mirrored(shown, width) : shown;
        return (
          <>
            {movable && !unfolded && plan.placement ? <SetHandle view={view} /> : null}
            {trace && !readOnly ? <TraceLayer view={view} /> : null}
            {tool ? <ToolHandle view={view} tool={tool} /> : null}
            {things && !trace ? (
              <ItemHandles
                view={view}
                movables={wallMovables(job)}
                fixed={[
                  { left: 0, right: job.room.wall.width, bottom: 0, top: job.room.wall.height },
                  ...(plan.placement ? [plan.placement] : []),
                ]}
              />
            ) : null}
            {things && !trace && zone ? <CornerHandles zone={zone} view={view} /> : null}
          </>
        );
      }}
    />
  );
}

/** The photograph of the wall, to scale, under everything that is drawn on it. */
function Behind({ flat, view, share }: { flat: FlatWall; view: SceneView; share: number }) {
  const [a, b] = [view.toPx(0, flat.height), view.toPx(flat.width, 0)];
  return (
    <image
      href={flat.url}
      x={a.x}
      y={a.y}
      width={b.x - a.x}
      height={b.y - a.y}
      opacity={share}
      preserveAspectRatio="none"
      data-testid="flat-wall"
    />
  );
}

const describe = (title: string, placed: boolean): string =>
  placed ? `${title} with the set on it` : `${title}, nothing placed yet`;

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
