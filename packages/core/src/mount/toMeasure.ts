import type { Measured, Mount } from '@steddo/contract';

/**
 * What the label leaves open and the hole list needs, by field. A measured value on the set
 * (bottom or top edge to hook or plate) stands in for the hook's geometry.
 */
export function toMeasure(mount: Mount, measured: readonly Measured[] = []): string[] {
  const missing: string[] = [];
  if (!mount.plate) missing.push('plate');
  else if (!mount.plate.slots?.length) missing.push('plate.slots');
  const toPlate = measured.some((m) => m.to !== 'hook');
  const toHook = measured.some((m) => m.to === 'hook');
  if (mount.hook === undefined && !toPlate) missing.push('hook');
  if (mount.patternAboveHook === undefined && !toPlate && !toHook) missing.push('patternAboveHook');
  return missing;
}
