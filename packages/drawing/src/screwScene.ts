import type { ScrewCheck, Stack } from '@steddo/contract';
import { grow, type Label, type Scene, type Shape } from './scene';

/** One screw with what is under its head, as it would sit. */
export interface ScrewDrawn extends Pick<Stack, 'length' | 'washers' | 'spacer'> {
  thread: string;
}

/** Drawn only: a pan head and the boss around the insert. */
const HEAD_ACROSS = 2;
const HEAD_LONG = 0.6;
const BOSS_MM = 5;

/**
 * A cut along the screw, to scale: head at the left, then washers, bracket, spacer, the set's back,
 * the insert with its thread. x from under the head, mm.
 */
export function screwScene(screw: ScrewDrawn, check: ScrewCheck): Scene {
  const d = Number(screw.thread.slice(1));
  const { insert, bracket } = check;
  const r = d / 2;
  const shapes: Shape[] = [];
  const labels: Label[] = [];
  let x = 0;
  const layer = (role: 'washer' | 'bracket' | 'spacer', id: string, mm: number, half: number, name: string) => {
    for (const side of [-1, 1])
      shapes.push({
        kind: 'rect',
        role,
        id: `${id}${side}`,
        left: x,
        right: x + mm,
        bottom: side > 0 ? r : -half,
        top: side > 0 ? half : -r,
      });
    labels.push({ id, text: `${mm} mm ${name}`, x: x + mm / 2, y: half, side: 'above' });
    x += mm;
  };
  screw.washers.forEach((mm, i) => layer('washer', `washer-${i}`, mm, d * 1.2, 'washer'));
  layer('bracket', 'bracket', bracket, d * 2.2, 'bracket');
  if (screw.spacer > 0) layer('spacer', 'spacer', screw.spacer, d * 1.4, 'spacer');
  const mouth = x + insert.recess;
  const bottom = mouth + insert.depth;
  const boss = r + BOSS_MM;
  for (const side of [-1, 1])
    shapes.push({
      kind: 'rect',
      role: 'cut',
      id: `boss${side}`,
      left: x,
      right: bottom,
      bottom: side > 0 ? r : -boss,
      top: side > 0 ? boss : -r,
    });
  shapes.push(
    { kind: 'rect', role: 'cut', id: 'insert-floor', left: bottom, right: bottom + 3, bottom: -boss, top: boss },
    {
      kind: 'rect',
      role: 'screw',
      id: 'head',
      left: -d * HEAD_LONG,
      right: 0,
      bottom: (-d * HEAD_ACROSS) / 2,
      top: (d * HEAD_ACROSS) / 2,
    },
    { kind: 'rect', role: 'screw', id: 'shank', left: 0, right: screw.length, bottom: -r, top: r },
  );
  const inside = screw.length - mouth;
  if (inside > 0)
    shapes.push({
      kind: 'rect',
      role: 'thread',
      id: 'engaged',
      left: mouth,
      right: Math.min(screw.length, bottom),
      bottom: -r,
      top: r,
    });
  if (screw.length < bottom)
    shapes.push({
      kind: 'rect',
      role: 'gap',
      id: 'clearance',
      left: screw.length,
      right: bottom,
      bottom: -r,
      top: r,
    });
  const end = Math.max(screw.length, bottom + 3);
  const small = (mm: number) => String(Math.round(mm * 10) / 10);
  if (inside > 0)
    labels.push({
      id: 'engaged',
      text: `${small(inside)} mm of thread`,
      x: mouth + inside / 2,
      y: -boss,
      side: 'below',
    });
  if (screw.length < bottom)
    labels.push({
      id: 'clearance',
      text: `${small(bottom - screw.length)} mm left`,
      x: (screw.length + bottom) / 2,
      y: boss,
      side: 'above',
    });
  else
    labels.push({
      id: 'clearance',
      text: `${small(screw.length - bottom)} mm too deep`,
      x: screw.length,
      y: boss,
      side: 'above',
    });
  const bounds = grow({ left: -d, right: end, bottom: -d * 2.2, top: d * 2.2 }, 3);
  return { bounds, focus: bounds, shapes, labels };
}
