import { edgeSlope, type LiveLevel } from '@steddo/core';

/** Why this device cannot be a level. */
export type NoLevel = 'not-secure' | 'no-sensor' | 'refused';

interface AskedFor {
  requestPermission?: () => Promise<'granted' | 'denied'>;
}

/**
 * The device that Steddo is shown on as a level, or why not. Some ask the person first, which only a tap may bring
 * about.
 */
export async function phoneLevel(): Promise<LiveLevel | NoLevel> {
  if (!window.isSecureContext) return 'not-secure';
  if (!('DeviceOrientationEvent' in window)) return 'no-sensor';
  const ask = (window.DeviceOrientationEvent as AskedFor).requestPermission;
  if (ask) {
    const answer = await ask().catch(() => 'denied');
    if (answer !== 'granted') return 'refused';
  }
  return byOrientation;
}

const byOrientation: LiveLevel = {
  follow: (told) => {
    const listen = ({ beta, gamma }: DeviceOrientationEvent) => {
      if (beta !== null && gamma !== null) told(edgeSlope(beta, gamma));
    };
    window.addEventListener('deviceorientation', listen);
    return () => window.removeEventListener('deviceorientation', listen);
  },
};
