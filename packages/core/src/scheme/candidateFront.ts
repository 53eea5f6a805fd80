import type { Job, Mount } from '@steddo/contract';
import { frontedBy, plateOutline, type Outline } from '../room/platePlane';
import type { Fronted } from '../room/wallAt';
import type { Candidate } from './schemeSearch';

type Placed = Pick<Candidate, 'plate' | 'x' | 'lift'>;

/** Where the plate of a candidate is. */
export const outlineOfPlate = (mount: Mount, { plate, x, lift }: Placed): Outline =>
  plateOutline(mount.plate!, x.value, plate.bottom.value + lift);

/** The wall as the plate of a candidate meets it. */
export const frontOf = (job: Job, mount: Mount, placed: Placed): Fronted =>
  frontedBy({ ...job, mount }, outlineOfPlate(mount, placed));
