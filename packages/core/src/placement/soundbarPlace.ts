import type { Job, Placement, Plan } from '@steddo/contract';

/** Where the bar that comes later goes: under the set, its gap below it, as wide as the set at most. */
export function soundbarPlace({ aim }: Job, { left, right, bottom }: Placement): Plan['soundbar'] {
  if (!aim.soundbar) return undefined;
  const top = bottom - aim.soundbar.gap;
  return { left, right, bottom: top - aim.soundbar.height, top };
}
