import type { ViewerAngles } from '@steddo/contract';

/** Picture's centre within this of the resting gaze, degrees: ergonomic practice. */
export const COMFORT_CENTRE_DEG = 15;

/** Whether the picture's centre is within 15 degrees of everybody's resting gaze. */
export const isComfortable = (angles: readonly ViewerAngles[]): boolean =>
  angles.every((a) => Math.abs(a.fromRest) <= COMFORT_CENTRE_DEG);
