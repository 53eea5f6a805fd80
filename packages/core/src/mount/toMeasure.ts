import type { Measured, Mount } from '@steddo/contract';

/**
 * What the label leaves open and the hole list needs, by field. A measured value on the set
 * (bottom or top edge to hook or plate) stands in for the hook's geometry.
 */
export function toMeasure(mount: Mount, measured: readonly Measured[] = []): string[] {
  const missing: string[] = [];
  if (mount.brackets) return hungBy(mount, measured);
  if (!mount.plate) missing.push('plate');
  else if (!mount.plate.slots?.length) missing.push('plate.slots');
  return [...missing, ...hungBy(mount, measured)];
}

/** How its hook or its pattern is above the plate, unless it was measured on the set. */
function hungBy(mount: Mount, measured: readonly Measured[]): string[] {
  const missing: string[] = [];
  const toPlate = measured.some((m) => m.to !== 'hook');
  const toHook = measured.some((m) => m.to === 'hook');
  if (mount.hook === undefined && !toPlate) missing.push('hook');
  if (mount.patternAboveHook === undefined && !toPlate && !toHook) missing.push('patternAboveHook');
  return missing;
}
