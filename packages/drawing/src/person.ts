import type { Viewer } from '@steddo/contract';
import type { Shape } from './scene';

/**
 * Somebody seen from the side, facing left towards the wall: head, back, thighs, shins, and the seat
 * under them. Only the eye is measured; the figure hangs on it, in the usual proportions of a body.
 */
const HEAD_MM = 115;
const BACK_MM = 560;
const THIGH_MM = 430;
const SEAT_MM = 420;

type Point = readonly [number, number];
const rad = (deg: number): number => (deg * Math.PI) / 180;

/** `z` from the wall and `eye` above the floor, mm; the head's front is at the eye. */
export function personShapes(viewer: Viewer, z: number, eye: number): Shape[] {
  const head: Point = [z + HEAD_MM, eye];
  const posture = viewer.posture ?? 'seated';
  const shapes: Shape[] = [
    {
      kind: 'circle',
      role: 'body',
      id: `head-${viewer.id}`,
      name: viewer.name ?? viewer.id,
      x: head[0],
      y: head[1],
      r: HEAD_MM,
    },
  ];
  const line = (id: string, points: readonly Point[]): Shape => ({
    kind: 'poly',
    role: 'body',
    id: `${id}-${viewer.id}`,
    points,
    closed: false,
  });
  const neck: Point = [head[0] + HEAD_MM * 0.3, eye - HEAD_MM];
  if (posture === 'standing') return [...shapes, line('body', [neck, [neck[0], 0]])];
  if (posture === 'lying') {
    const flat = Math.max(0, eye - 2 * HEAD_MM);
    const feet: Point = [z - 1500 > 300 ? z - 1500 : 300, flat];
    return [...shapes, line('body', [[head[0], flat + HEAD_MM], [z - BACK_MM, flat + 40], feet])];
  }
  const lean = rad(8 + (viewer.recline ?? (posture === 'reclined' ? 25 : 0)));
  const hip: Point = [neck[0] - BACK_MM * Math.sin(lean), Math.max(SEAT_MM * 0.7, neck[1] - BACK_MM * Math.cos(lean))];
  const knee: Point = [hip[0] - THIGH_MM, hip[1] + 10];
  return [
    {
      kind: 'poly',
      role: 'seat',
      id: `seat-${viewer.id}`,
      closed: true,
      points: [
        [hip[0] - THIGH_MM * 0.8, 0],
        [hip[0] - THIGH_MM * 0.8, hip[1] - 60],
        [hip[0] + 60, hip[1] - 60],
        [neck[0] + 110, neck[1] - 40],
        [neck[0] + 230, neck[1] - 40],
        [neck[0] + 230, 0],
      ],
    },
    ...shapes,
    line('body', [neck, hip, knee, [knee[0] - 60, 0]]),
  ];
}
