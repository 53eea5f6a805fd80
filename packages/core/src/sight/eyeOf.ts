import type { Viewer, Working } from '@steddo/contract';
import { EYE_SEATED_MM, EYE_STANDING_MM } from '../primitives/tolerances';
import { leaf } from '../primitives/working';

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
