import type { Drilled, Hole, Job, Plan } from '@steddo/contract';
import type { Command, SetOut } from '@steddo/core';
import { logMark } from '../../state/marks';

/** Where the hand is: at a mark, at the level after the first one, or through. */
export type LadderAt =
  | { at: 'none' }
  | { at: 'mark'; hole: Hole; done: number; of: number }
  | { at: 'level'; first: Hole; done: number; of: number }
  | { at: 'finished'; of: number };

/** One hole, then the level, then the rest; `levelled` is the first hole that somebody has levelled from. */
export function ladderAt(plan: Plan, levelled: string | undefined, setOut: SetOut = 'one-bolt'): LadderAt {
  const holes = plan.holes ?? [];
  const next = holes.find((h) => !h.done);
  const ready = holes.filter((h) => h.done);
  const [of, done] = [holes.length, ready.length];
  if (of === 0) return { at: 'none' };
  if (!next) return { at: 'finished', of };
  const [first] = ready;
  // held up or by a template everything is level before the first hole
  if (setOut === 'one-bolt' && first && levelled !== first.id) return { at: 'level', first, done, of };
  return { at: 'mark', hole: next, done, of };
}

/** What a hole is to the hand that drills it. */
export interface Drillable extends Pick<Hole, 'id' | 'x' | 'y' | 'into'> {
  fixing: Pick<Hole['fixing'], 'diameter'>;
}

/** The bit met a joint: the hole is left, and the joint is a mark of its own. */
export function metJoint(job: Job, hole: Drillable, runs: 'horizontal' | 'vertical', at = new Date()): Command {
  const mark = logMark(job, runs === 'horizontal' ? 'joint-bed' : 'joint-upright', hole.x, hole.y);
  return { do: 'all', commands: [tick(job, hole, 'joint', { x: 0, y: 0 }, at), mark] };
}

/** Keeps what came of a hole, and where it really is. */
export function tick(
  job: Job,
  hole: Drillable,
  result: Drilled['result'],
  moved = { x: 0, y: 0 },
  at = new Date(),
): Command {
  const value: Drilled = {
    hole: hole.id,
    x: hole.x + moved.x,
    y: hole.y + moved.y,
    result,
    into: hole.into,
    diameter: hole.fixing.diameter,
    at: at.toISOString(),
  };
  return { do: 'put', path: `drilled.${job.drilled?.length ?? 0}`, value };
}

/** What may be said of a hole besides that it is good: what it was not, by what it was sent for. */
export function otherResults(hole: Hole): Drilled['result'][] {
  switch (hole.into) {
    case 'board':
      return ['stud', 'metal', 'spun', 'broken'];
    case 'stud':
    case 'metal-stud':
      return ['hollow', 'metal', 'broken'];
    case 'masonry':
      // a joint or a void has a question of its own
      return ['blocked', 'broken'];
    default:
      return ['hollow', 'blocked', 'broken'];
  }
}
