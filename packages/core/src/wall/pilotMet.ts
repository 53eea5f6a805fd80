import type { Evidence, Job } from '@steddo/contract';
import { wallAt } from '../room/wallAt';

/**
 * What a pilot that met wood at a hole's own place leaves of doubt: the shank is in wood (ours; a centre known to 6 mm
 * gives 0.98, and 0.75 for its edge distance).
 */
export const PILOT_CHANCE = 0.98;

/** A pilot is at a hole's own place within this across and up, mm: on the same line of the same stud. Ours. */
const SAME_ACROSS_MM = 3;
const SAME_UP_MM = 100;

/** A centre mark belongs to it within this, mm; a nogging or a guard plate speaks against it within this. Ours. */
const CENTRE_MM = 15;
const NOGGING_MM = 25;
const METAL_MM = 60;

/**
 * Whether a small drill met wood at a place, with a centre mark beside it, and neither lath, nogging nor guard plate
 * there could have been what it met. A mark at 1622 and a pilot at (1620, 1400): true at (1620, 1430).
 */
export function pilotMet({ evidence = [], drilled = [], room }: Job): (x: number, y: number) => boolean {
  const main = evidence.filter((e) => (e.wall ?? 'main') === 'main');
  const wood = main.filter((e) => e.kind === 'probe' && e.found === 'wood');
  const centres = main.filter((e) => e.kind === 'centre');
  if (wood.length === 0 || centres.length === 0) return () => false;
  const noggings = main.filter((e) => e.kind === 'nogging');
  const metal = [
    ...main.filter((e) => e.kind === 'probe' && e.found === 'metal'),
    ...drilled.filter((d) => d.result === 'metal' && (d.wall ?? 'main') === 'main'),
  ];
  const isLine = (p: Evidence, x: number, y: number) =>
    Math.abs(p.x - x) <= SAME_ACROSS_MM &&
    Math.abs((p.y ?? y) - y) <= SAME_UP_MM &&
    !noggings.some((n) => Math.abs((n.y ?? 0) - (p.y ?? y)) <= NOGGING_MM);
  return (x, y) =>
    wallAt(room.wall, x, y).build.cover !== 'lath' &&
    wood.some((p) => isLine(p, x, y)) &&
    centres.some((c) => Math.abs(c.x - x) <= CENTRE_MM) &&
    !metal.some((m) => Math.hypot(m.x - x, (m.y ?? y) - y) <= METAL_MM);
}
