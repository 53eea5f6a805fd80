import type { Stage } from '@steddo/contract';

/** The stages that are built, in the order of the work. */
export const STAGES = [
  'set',
  'room',
  'mount',
  'fit',
  'height',
  'reach',
  'wall',
  'holes',
  'level',
  'hang',
] as const satisfies Stage[];
export type BuiltStage = (typeof STAGES)[number];

export const isStage = (value: unknown): value is BuiltStage => STAGES.some((s) => s === value);

/** The drawings of a room. */
export const VIEWS = ['face', 'side', 'above', 'back', 'front', 'screw', 'staged', 'section'] as const;
export type ViewName = (typeof VIEWS)[number];

/** Drawings of a wall that is looked into, in a room and in practice. */
export const WALL_VIEWS: readonly ViewName[] = ['face'];
