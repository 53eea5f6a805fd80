import type { Mount } from '@steddo/contract';

/** What installers hold side by side. Lengths mm, angles degrees; undefined where the label is silent. */
export interface Compared {
  id: string;
  name: string;
  type: Mount['type'];
  folded: number;
  extended?: number;
  tiltDown?: number;
  tiltUp?: number;
  swivel?: number;
  slide?: number;
  trim?: number;
  roll?: number;
  studs?: number;
  /** Rating less the set's mass, kg. */
  massMargin: number;
  price?: number;
}

const put = <K extends string>(key: K, value: number | undefined): Partial<Record<K, number>> =>
  value === undefined ? {} : ({ [key]: value } as Record<K, number>);

/** The lesser swivel of both sides counts: an arm at its wall's end turns only one way. */
const swivelOf = ({ swivel }: Mount): number | undefined =>
  swivel && Math.min(Math.abs(swivel.left), Math.abs(swivel.right));

/**
 * One column of the comparison. A mount rated 40 kg for an 8.6 kg set has a margin of 31.4.
 */
export const comparedOf = (mount: Mount, massKg: number): Compared => ({
  id: mount.id,
  name: mount.name,
  type: mount.type,
  folded: mount.depth.folded,
  ...put('extended', mount.depth.extended),
  ...put('tiltDown', mount.tilt?.down),
  ...put('tiltUp', mount.tilt?.up),
  ...put('swivel', swivelOf(mount)),
  ...put('slide', mount.slide),
  ...put('trim', mount.trim?.height),
  ...put('roll', mount.trim?.roll),
  ...put('studs', mount.studs?.count),
  massMargin: mount.maxMass - massKg,
  ...put('price', mount.price),
});
