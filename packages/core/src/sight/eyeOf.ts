import type { Viewer, Working } from '@steddo/contract';
import { leaf } from '../primitives/working';

/** Eyes when nobody has measured them, mm. Common practice: seated 130 cm, standing 170 cm. */
const EYE_SEATED_MM = 1300;
export const EYE_STANDING_MM = 1700;

/**
 * A viewer's eye above the floor, mm. Unmeasured: 1300 seated and 1700 standing (common practice),
 * as a guess; there is no such figure for somebody lying or leaning back, who gives undefined.
 */
export function eyeOf(viewer: Viewer, guessed: readonly string[]): Working | undefined {
  const path = `room.viewers.${viewer.id}.eye`;
  if (viewer.eye !== undefined) return leaf('eye', viewer.eye, 'mm', { path, guess: guessed.includes(path) });
  const posture = viewer.posture ?? 'seated';
  if (posture === 'seated') return leaf('eye', EYE_SEATED_MM, 'mm', { path, guess: true });
  if (posture === 'standing') return leaf('eye', EYE_STANDING_MM, 'mm', { path, guess: true });
  return undefined;
}
