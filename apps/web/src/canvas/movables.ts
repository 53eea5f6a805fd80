import type { Job, Viewer } from '@steddo/contract';
import { measure, moveBox, moveFloor, type Command, type SnapBox, type JobPath } from '@steddo/core';
import { HEAD_MM } from '@steddo/drawing';
import { itemName, type Wording } from '@steddo/text';

/** Something in a drawing that goes where a thumb takes it; its box is in the drawing's own mm. */
export interface Movable {
  id: string;
  path: string;
  name: string;
  box: SnapBox;
  move: (job: Job, box: SnapBox) => Command;
  where: (say: Wording) => string;
}

/** On the wall: its things, and the parts of it that differ. */
export function wallMovables(job: Job): Movable[] {
  const entry = (id: string, path: JobPath, name: string, box: SnapBox): Movable => ({
    id,
    path,
    name,
    box,
    move: (now, to) => moveBox(now, path, to),
    where: (say) => `left edge ${say.length(box.left)}, bottom ${say.length(box.bottom)}`,
  });
  const items = (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main');
  return [
    ...(job.room.wall.zones ?? []).map((z) => entry(z.id, `room.wall.zones.${z.id}`, 'a part that differs', z)),
    ...items.map((o) => entry(o.id, `room.objects.${o.id}`, o.name ?? itemName(o.kind), o)),
  ];
}

/** From above, where the wall runs along the top and y is minus the distance: what stands on the floor, and people. */
export function floorMovables(job: Job, middle: number): Movable[] {
  const things = (job.room.floor ?? []).map((f): Movable => {
    const path = `room.floor.${f.id}` as const;
    return {
      id: f.id,
      path,
      name: f.name ?? f.kind,
      box: { left: f.left, right: f.right, bottom: -f.far, top: -f.near },
      move: (now, to) => moveFloor(now, path, to),
      where: (say) => `left edge ${say.length(f.left)}, ${say.length(f.near)} from the wall`,
    };
  });
  return [...things, ...(job.room.viewers ?? []).flatMap((v) => personMovable(v, middle))];
}

function personMovable(v: Viewer, middle: number): Movable[] {
  const { distance } = v;
  if (distance === undefined) return [];
  const x = v.x ?? middle;
  const path = `room.viewers.${v.id}` as const;
  return [
    {
      id: v.id,
      path,
      name: v.name ?? v.id,
      box: { left: x - HEAD_MM, right: x + HEAD_MM, bottom: -distance - 2 * HEAD_MM, top: -distance },
      move: (now, to) => ({
        do: 'all',
        commands: [
          { do: 'put', path: `${path}.x`, value: (to.left + to.right) / 2 },
          measure(now, `${path}.distance`, Math.max(LEAST_MM, -to.top)),
        ],
      }),
      where: (say) => `${say.length(distance)} from the wall, ${say.length(x)} from the left`,
    },
  ];
}

/** Nobody sits in the wall. */
const LEAST_MM = 200;
