import type { ViewerAngles } from '@steddo/contract';
import { COMFORT_CENTRE_DEG } from '../primitives/tolerances';

/** Whether the picture's centre is within 15 degrees of everybody's resting gaze. */
export const isComfortable = (angles: readonly ViewerAngles[]): boolean =>
  angles.every((a) => Math.abs(a.fromRest) <= COMFORT_CENTRE_DEG);
