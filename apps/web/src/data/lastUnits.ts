import type { Units } from '@steddo/contract';
import { localChoice } from './shared';

/** The units in which somebody measured last on this device; inches at the first time. */
export const lastUnits = (): Units => (localChoice.get('units') === 'metric' ? 'metric' : 'imperial');
