import type { Item, Job, Look, RecessPlan } from '@steddo/contract';
import { freeId, moveBox, ROOM_THINGS, type Command } from '@steddo/core';
import { logMark, nextNumber } from './marks';
import { tickStep } from './ticks';

type First = RecessPlan['first'];

/** The first opening as it was made: it stays where it is, wherever the outline goes. */
export const madeFirstCut = (job: Job, { object, first }: RecessPlan): Command => ({
  do: 'all',
  commands: [
    { do: 'put', path: `room.objects.${object}.cut.first`, value: boxOf(first) },
    tickStep(job, 'box.first-cut'),
  ],
});

const boxOf = ({ left, right, bottom, top }: First) => ({ left, right, bottom, top });

const middleOf = ({ left, right, bottom, top }: First) => ({ x: (left + right) / 2, y: (bottom + top) / 2 });

/** What a hand and a torch found through the first opening, as far as the box goes. */
export function lookedThrough(job: Job, { first, cut }: RecessPlan, found: Look['found']): Command {
  const { x, y } = middleOf(first);
  const id = `k${nextNumber(job)}`;
  const reach = Math.ceil(Math.max(y - cut.bottom, cut.top - y));
  const value: Look = { id, x: round(x), y: round(y), reach, bay: 'both', found, at: new Date().toISOString() };
  // the bay is the one that it was made in, whichever stud is nearer
  const { bay: _, ...inBay } = value;
  return { do: 'put', path: `looks.${id}`, value: inBay };
}

/** A timber across the bay, so far above the floor. */
export const noggingAt = (job: Job, { first }: RecessPlan, up: number): Command =>
  logMark(job, 'nogging', middleOf(first).x, up);

/** A face of the bay, taped through the opening: what was taped before on that side is taped anew. */
export function tapedFace(job: Job, { first }: RecessPlan, side: 'left' | 'right', x: number): Command {
  const { x: middle, y } = middleOf(first);
  const old = (job.evidence ?? []).filter(
    (e) => e.kind === 'face' && e.side === side && x < middle === e.x < middle && Math.abs(e.x - middle) < NEAR_MM,
  );
  return {
    do: 'all',
    commands: [
      ...old.map((e): Command => ({ do: 'drop', path: `evidence.${e.id}` })),
      logMark(job, side === 'left' ? 'face-left' : 'face-right', x, y),
    ],
  };
}
const NEAR_MM = 700;

/** The face that was taped on a side of a box. */
export const faceOn = (job: Job, { first }: RecessPlan, side: 'left' | 'right'): number | undefined => {
  const middle = middleOf(first).x;
  return (job.evidence ?? []).findLast(
    (e) =>
      e.kind === 'face' && e.side === side && (side === 'left') === e.x < middle && Math.abs(e.x - middle) < NEAR_MM,
  )?.x;
};

/** The box moved, its size kept. */
export function movedBox(job: Job, object: string, by: { x?: number; y?: number }): Command | undefined {
  const item = job.room.objects?.find((o) => o.id === object);
  if (!item) return undefined;
  return moveBox(job, `room.objects.${object}`, {
    left: item.left + (by.x ?? 0),
    right: item.right + (by.x ?? 0),
    bottom: item.bottom + (by.y ?? 0),
    top: item.top + (by.y ?? 0),
  });
}

/** A box that nobody has placed yet: the mount's own where it brings one, in the middle of the wall. */
export function newBox({ room, mount, ...rest }: Job): Item {
  const { usual } = ROOM_THINGS.box;
  const { width = usual.width, height = usual.height, depth = USUAL_DEPTH_MM } = mount?.opening ?? {};
  const left = Math.round((room.wall.width - width) / 2);
  const bottom = Math.min(usual.bottom, Math.max(0, room.wall.height - height - 50));
  return {
    id: freeId({ room, ...(mount ? { mount } : {}), ...rest }, 'o'),
    ...{ kind: 'box', name: 'box', left, right: left + width, bottom, top: bottom + height, cut: { depth } },
  };
}

/** As deep as boxes usually are, mm. Ours. */
export const USUAL_DEPTH_MM = 90;

const round = (mm: number): number => Math.round(mm * 10) / 10;
