import type { BenchClearance, Job, Plan } from '@steddo/contract';
import { outlineOf, patternAt } from '@steddo/core';
import type { Shape } from './scene';
import { setDepth } from './setDepth';

/** How far a head tilts that way before it meets something. */
const tiltOf = ({ limit, until }: BenchClearance): number => until ?? limit;

/** From the side: the set over its bench, tilted up and down as far as its head goes and what is there lets it. */
export function benchTilts(job: Job, plan: Plan): Shape[] {
  const { bench, placement: p } = plan;
  if (!bench || !p) return [];
  const { back, face } = setDepth(job, plan);
  const axis = { z: back - (job.mount?.arm?.head ?? 0), y: bench.head.y };
  return bench.clearances.flatMap((c): Shape[] => {
    const up = c.side === 'above';
    if ((!up && c.side !== 'below') || tiltOf(c) < 1) return [];
    const angle = ((up ? 1 : -1) * tiltOf(c) * Math.PI) / 180;
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    // its front goes up, its upper edge back
    const turn = (z: number, y: number): [number, number] => {
      const [dz, dy] = [z - axis.z, y - axis.y];
      return [axis.z + dz * cos - dy * sin, axis.y + dy * cos + dz * sin];
    };
    const points = [turn(back, p.bottom), turn(face, p.bottom), turn(face, p.top), turn(back, p.top)];
    return [{ kind: 'poly', role: 'set-tilted', id: `tilted-${up ? 'up' : 'down'}`, points, closed: true }];
  });
}

/** On the wall: the set the other way round, upright or on its end, on the same head. */
export function benchTurned(job: Job, plan: Plan): Shape[] {
  const { bench } = plan;
  if (!bench) return [];
  const other: Job = { ...job, choices: { ...job.choices, portrait: !bench.portrait } };
  const { width, height } = outlineOf(job.screen, job.guessed ?? [], !bench.portrait);
  const { right, up } = patternAt(other);
  const [x, y] = [bench.head.x - right.value, bench.head.y - up.value];
  const [halfWidth, halfHeight] = [width.value / 2, height.value / 2];
  const box = { left: x - halfWidth, right: x + halfWidth, bottom: y - halfHeight, top: y + halfHeight };
  return [{ kind: 'rect', role: 'set-tilted', id: 'set-on-end', ...box }];
}
