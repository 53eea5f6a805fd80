import { useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { heldAt, pivotFor, toDeg, toRad, type SetPoseMm } from '@steddo/core';
import type { View as SceneView } from '@steddo/drawing';
import { poseText } from '@steddo/text';
import { useArm } from '../state/armState';
import { useRoomContext } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { useDrag } from './useDrag';

const GRIP_PX = 48;
/** The knob that turns the set stands so far in front of it. */
const KNOB_PX = 54;
/** Arrow keys move by so much, with shift by five times that. */
const STEP_MM = 10;
const STEP_DEG = 1;

/** Over the floor from above: the set under a finger, the knob that turns it, and the floor to stand on. */
export function ArmHandles({ view }: { view: SceneView }) {
  const { model, at } = useArm();
  if (!model || !at) return null;
  return (
    <>
      <FloorTap view={view} />
      <MoveHandle view={view} at={at} />
      <TurnHandle view={view} at={at} />
    </>
  );
}

/** A tap on the floor asks what somebody standing there would see. */
function FloorTap({ view }: { view: SceneView }) {
  const { setStand } = useArm();
  const tap = (e: MouseEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    const { x, y } = view.toMm(e.clientX - box.left, e.clientY - box.top);
    if (y < -1) setStand({ x, z: -y });
  };
  return (
    <div
      data-testid="floor"
      aria-hidden="true"
      onClick={tap}
      style={{ position: 'absolute', left: 0, right: 0, top: 40, bottom: 0 }}
      onPointerDown={(e) => e.stopPropagation()}
    />
  );
}

/** The middle of the set's back on the screen, and which way its front looks. */
function useHeld(view: SceneView, at: SetPoseMm) {
  const { model } = useArm();
  const held = heldAt(model!, at);
  const yaw = toRad(at.yaw);
  return { held, px: view.toPx(held.x, -held.z), front: { x: Math.sin(yaw), y: Math.cos(yaw) } };
}

function MoveHandle({ view, at }: { view: SceneView; at: SetPoseMm }) {
  const { model, bring } = useArm();
  const { say } = useRoomContext();
  const { held, px } = useHeld(view, at);
  const from = useRef({ ...held, yaw: at.yaw });
  const carry = (dx: number, dy: number) => {
    const to = { x: from.current.x + dx, z: from.current.z + dy };
    // turned back where there is room again
    bring({ ...pivotFor(model!, to, from.current.yaw), yaw: from.current.yaw });
  };
  const drag = useDrag(
    {
      onDown: () => (from.current = { ...held, yaw: at.yaw }),
      onMove: (dx, dy) => carry(dx / view.scale, dy / view.scale),
      onDone: (dx, dy) => carry(dx / view.scale, dy / view.scale),
      onCancel: () => undefined,
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const step = STEP_MM * (e.shiftKey ? 5 : 1);
    const by = KEYS[e.key];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    bring({ x: at.x + by[0] * step, z: at.z + by[1] * step, yaw: at.yaw });
  };
  return (
    <Grip
      label="the set on its arm, from above; arrow keys bring it out and aside"
      text={poseText(at, say)}
      now={Math.round(at.extension)}
      most={Math.round(model!.reach.arm.extended + model!.reach.shape.head)}
      testID="arm-handle"
      at={px}
      onKeyDown={onKeyDown}
      drag={drag}
    />
  );
}

const KEYS: Record<string, readonly [number, number] | undefined> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

function TurnHandle({ view, at }: { view: SceneView; at: SetPoseMm }) {
  const { bring } = useArm();
  const { say } = useRoomContext();
  const palette = usePalette();
  const { px, front } = useHeld(view, at);
  const knob = { x: px.x + front.x * KNOB_PX, y: px.y + front.y * KNOB_PX };
  const from = useRef(knob);
  const turn = (dx: number, dy: number) => {
    const [x, y] = [from.current.x + dx - px.x, from.current.y + dy - px.y];
    const yaw = toDeg(Math.atan2(x, y));
    bring({ x: at.x, z: at.z, yaw: Math.round(yaw) });
  };
  const drag = useDrag(
    {
      onDown: () => (from.current = knob),
      onMove: turn,
      onDone: turn,
      onCancel: () => undefined,
    },
    true,
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    bring({ x: at.x, z: at.z, yaw: at.yaw + way * STEP_DEG * (e.shiftKey ? 5 : 1) });
  };
  return (
    <Grip
      label="turns the set; arrow keys turn it left and right"
      text={poseText(at, say)}
      now={Math.round(at.yaw)}
      least={-90}
      most={90}
      testID="turn-handle"
      at={knob}
      onKeyDown={onKeyDown}
      drag={drag}
    >
      <svg width={GRIP_PX} height={GRIP_PX} aria-hidden="true" style={{ pointerEvents: 'none' }}>
        <circle cx={24} cy={24} r={13} fill={palette.action} />
        <path
          d="M17 24a7 7 0 0 1 14 0M31 24l-3.500 -3M31 24l2.500 -3.500"
          stroke={palette.onAction}
          strokeWidth={2}
          fill="none"
        />
      </svg>
    </Grip>
  );
}

interface GripProps {
  label: string;
  text: string;
  now: number;
  least?: number;
  most: number;
  testID: string;
  at: { x: number; y: number };
  onKeyDown: (e: KeyboardEvent) => void;
  drag: ReturnType<typeof useDrag>;
  children?: React.ReactNode;
}

function Grip({ label, text, now, least = 0, most, testID, at, onKeyDown, drag, children }: GripProps) {
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={least}
      aria-valuemax={Math.max(most, now)}
      aria-valuenow={now}
      aria-valuetext={text}
      data-testid={testID}
      onKeyDown={onKeyDown}
      {...drag}
      style={{
        position: 'absolute',
        left: at.x - GRIP_PX / 2,
        top: at.y - GRIP_PX / 2,
        width: GRIP_PX,
        height: GRIP_PX,
        cursor: 'grab',
        touchAction: 'none',
      }}
    >
      {children}
    </div>
  );
}
