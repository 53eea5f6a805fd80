import { freeId } from '@steddo/core';
import type { FloorThing, Item, ItemKind, Job, Viewer, Zone } from '@steddo/contract';

/** What a thing is before it is measured: a usual size, in the middle of the wall, to be dragged or typed. */
const SIZES: Record<ItemKind, { width: number; height: number; bottom: number; out?: number }> = {
  outlet: { width: 70, height: 114, bottom: 300, out: 5 },
  switch: { width: 70, height: 114, bottom: 1050, out: 5 },
  data: { width: 70, height: 114, bottom: 300, out: 5 },
  furniture: { width: 1200, height: 600, bottom: 0, out: 400 },
  cabinet: { width: 600, height: 700, bottom: 1400, out: 330 },
  shelf: { width: 900, height: 30, bottom: 1800, out: 250 },
  mantel: { width: 1500, height: 80, bottom: 1200, out: 200 },
  opening: { width: 1100, height: 800, bottom: 0 },
  chimney: { width: 1500, height: 2400, bottom: 0 },
  window: { width: 1000, height: 1200, bottom: 900 },
  curtain: { width: 300, height: 2200, bottom: 0, out: 100 },
  door: { width: 860, height: 2030, bottom: 0 },
  vent: { width: 300, height: 150, bottom: 200 },
  pipe: { width: 40, height: 2400, bottom: 0 },
  gas: { width: 60, height: 60, bottom: 100 },
  soundbar: { width: 900, height: 70, bottom: 700, out: 90 },
  box: { width: 368, height: 445, bottom: 1000 },
  other: { width: 300, height: 300, bottom: 1000 },
};

export const ITEM_KINDS = Object.keys(SIZES) as ItemKind[];

export function newItem(job: Job, kind: ItemKind): Item {
  const { wall } = job.room;
  const size = SIZES[kind];
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
    ...(size.out === undefined ? {} : { out: size.out }),
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
