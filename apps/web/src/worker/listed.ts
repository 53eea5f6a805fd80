import type { Job, Plan } from '@steddo/contract';
import { roomFace, type Box, type Shape } from '@steddo/drawing';
import { findingText, wordingFor } from '@steddo/text';

/** What the list shows of a room beside its name. */
export interface Listed {
  plan: Plan;
  /** The wall, true and small. */
  sketch: { bounds: Box; shapes: Shape[] };
  /** The first thing that stops it, or that has to be done before there are holes. */
  stop?: string;
}

/** What is still told apart when a wall is as small as a stamp. */
const SHOWN = new Set<Shape['role']>([
  'wall',
  'floor',
  'zone',
  'stud',
  'object',
  'cover',
  'set',
  'joint-line',
  'backing',
]);

export function listedOf(job: Job, plan: Plan): Listed {
  const { bounds, shapes } = roomFace(job, plan, 'none');
  const stop =
    plan.findings.find((f) => f.level === 'stop' && !f.acknowledged) ??
    (plan.holes ? undefined : plan.findings.find((f) => f.level === 'todo'));
  return {
    plan,
    sketch: { bounds, shapes: shapes.filter((s) => SHOWN.has(s.role)) },
    ...(stop ? { stop: findingText(stop, wordingFor(job)) } : {}),
  };
}
