import type { BuildKind, Job, Plan } from '@steddo/contract';
import { wallAt } from '../room/wallAt';

/** The kind of wall that a plan's plate is screwed to: behind its first hole, else behind its middle. */
export function fixedKind({ room }: Job, { holes, placement }: Plan): BuildKind {
  const at = holes?.[0] ?? (placement?.plate ? { x: placement.plate.x, y: placement.plate.bottom } : placement?.centre);
  return at ? wallAt(room.wall, at.x, at.y).build.kind : room.wall.build.kind;
}
