import type { Mount, Ranked, Verdict } from '@steddo/contract';

/** What a label says. Lengths mm, angles degrees; undefined where it is silent. */
export interface MountFacts {
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
  price?: number;
}

/** What installers hold side by side. */
export interface Compared extends MountFacts {
  /** Rating less the set's mass, kg. */
  massMargin: number;
  verdict: Verdict;
  /** What its worst fastener has of what it may hold, as a share; undefined where it cannot be said. */
  load?: number;
}

const put = <K extends string>(key: K, value: number | undefined): Partial<Record<K, number>> =>
  value === undefined ? {} : ({ [key]: value } as Record<K, number>);

/** The lesser swivel of both sides counts: an arm at its wall's end turns only one way. */
const swivelOf = ({ swivel }: Mount): number | undefined =>
  swivel && Math.min(Math.abs(swivel.left), Math.abs(swivel.right));

/** What the list found for its fixings: by the whole search where it was given one, else in closed form. */
export function loadOf({ reasons }: Pick<Ranked, 'reasons'>): number | undefined {
  const found = reasons.find((r) => r.rule === 'scheme') ?? reasons.find((r) => r.rule === 'holds');
  return typeof found?.value === 'number' ? found.value : undefined;
}

/** What a label says, swivel by its lesser side: 60 left and 45 right is 45. */
export const mountFacts = (mount: Mount): MountFacts => ({
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
  ...put('price', mount.price),
});

/**
 * One column of the comparison, with what the list found. A mount rated 40 kg for an 8.6 kg set has a margin of 31.4.
 */
export const comparedOf = (mount: Mount, massKg: number, ranked: Ranked): Compared => ({
  ...mountFacts(mount),
  massMargin: mount.maxMass - massKg,
  verdict: ranked.verdict,
  ...put('load', loadOf(ranked)),
});
