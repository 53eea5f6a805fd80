import { freeId, ROOM_THINGS } from '@steddo/core';
import type { FloorThing, Item, ItemKind, Job, Viewer, Zone } from '@steddo/contract';

/** A thing at its usual size, in the middle of the wall. */
export function newItem(job: Job, kind: ItemKind): Item {
  const { wall } = job.room;
  const { usual: size, outMm } = ROOM_THINGS[kind];
  const width = Math.min(size.width, wall.width);
  const bottom = Math.min(size.bottom, Math.max(0, wall.height - 50));
  const left = Math.round((wall.width - width) / 2);
  return {
    id: freeId(job, 'o'),
    kind,
    left,
    right: left + width,
    bottom,
    top: Math.min(wall.height, bottom + size.height),
    ...(outMm > 0 ? { out: outMm } : {}),
  };
}

export const newViewer = (job: Job): Viewer => ({
  id: freeId(job, 'v'),
  name: `person ${(job.room.viewers ?? []).length + 1}`,
  posture: 'seated',
});

export function newZone(job: Job): Zone {
  const { width, height } = job.room.wall;
  const id = freeId(job, 'z');
  return {
    id,
    left: Math.round(width * 0.4),
    right: Math.round(width * 0.6),
    bottom: Math.round(height * 0.3),
    top: Math.round(height * 0.5),
    build: { state: 'patched' },
  };
}

export function newFloorThing(job: Job): FloorThing {
  const { width } = job.room.wall;
  const far = Math.max(1200, ...(job.room.viewers ?? []).map((v) => v.distance ?? 0)) + 400;
  const left = Math.round(Math.max(0, width / 2 - 900));
  return {
    id: freeId(job, 'f'),
    kind: 'sofa',
    left,
    right: left + 1800,
    near: far - 900,
    far,
    height: 850,
  };
}
