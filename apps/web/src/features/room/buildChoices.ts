import type { BuildKind } from '@steddo/contract';

/** What a wall, or a part of it, can be, for choosing from. */
export const KINDS: readonly { value: BuildKind; name: string }[] = [
  { value: 'timber-stud', name: 'timber studs' },
  { value: 'masonry', name: 'masonry' },
  { value: 'metal-stud', name: 'metal studs' },
  { value: 'timber-backing', name: 'timber backing' },
  { value: 'metal-backing', name: 'metal backing' },
];
export const COVERS = [
  { value: 'gypsum', name: 'board' },
  { value: 'lath', name: 'lath' },
  { value: 'panel', name: 'panel' },
  { value: 'tile', name: 'tile' },
  { value: 'none', name: 'bare' },
] as const;
export const STATES = [
  { value: 'sound', name: 'sound' },
  { value: 'patched', name: 'patched' },
  { value: 'wet', name: 'wet' },
] as const;
export const BEHIND = [
  { value: 'room', name: 'a room' },
  { value: 'wet-room', name: 'kitchen or bath' },
  { value: 'outside', name: 'outside' },
] as const;
