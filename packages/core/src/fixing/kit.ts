import type { Anchor, Bit, Build, CrewKit, Fixing, Job, Lag, Mount } from '@steddo/contract';

/** What is on the van: the job's own kit, or else the crew's. */
export interface Kit {
  anchors: readonly Anchor[];
  lags: readonly Lag[];
  bits: readonly Bit[];
}

/**
 * A job with the crew's kit where it has none of its own, list by list: put in once, when the job is opened, so
 * that nothing can be planned without it. The same job where it brings all three. A kit that nobody has `entered`, the
 * demo's, leaves its lags a guess: no mount is screwed on with them unasked.
 */
export function withKit(job: Job, crew: CrewKit, entered = true): Job {
  const { anchors = crew.anchors, lags = crew.lags, bits = crew.bits } = job;
  if (anchors === job.anchors && lags === job.lags && bits === job.bits) return job;
  const guessed = entered || lags === job.lags ? {} : { guessed: [...(job.guessed ?? []), 'lags'] };
  return { ...job, ...(anchors ? { anchors } : {}), ...(lags ? { lags } : {}), ...(bits ? { bits } : {}), ...guessed };
}

/** The kit that a job is planned with. */
export const kitOf = ({ anchors = [], lags = [], bits = [] }: CrewKit): Kit => ({ anchors, lags, bits });

/** One fixing as the plan uses it: the mount's own, or one of the kit. Lengths mm, ratings N as the pack prints them. */
export interface Fastener {
  kind: Fixing['kind'];
  diameter: number;
  length?: number | undefined;
  threadLength?: number | undefined;
  washer?: number | undefined;
  head?: number | undefined;
  /** The bit that its leaflet or pack asks for. */
  hole?: number | undefined;
  tension?: number | undefined;
  shear?: number | undefined;
  board?: number | undefined;
  grip?: { min: number; max: number } | undefined;
  walls?: readonly Build['kind'][] | undefined;
  /** The coverings that its rating is for; absent: any but lath. */
  covers?: readonly Build['cover'][] | undefined;
  reusable?: boolean | undefined;
  id?: string;
  /** Where its numbers stand in the job. */
  path: string;
}

export const fromMount = (mount: Mount, kind: Build['kind']): Fastener | undefined => {
  const fixing = mount.walls[kind]?.fixing;
  if (!fixing) return undefined;
  const { pilot, id, ...rest } = fixing;
  const from = id === undefined ? { path: `mount.walls.${kind}.fixing` } : { id, path: `lags.${id}` };
  return { ...rest, hole: pilot, ...from };
};

/** An anchor of the kit; without a bolt's diameter it cannot be put through a slot and is left out. */
export const fromAnchor = (anchor: Anchor): Fastener | undefined =>
  anchor.diameter === undefined ? undefined : { ...anchor, diameter: anchor.diameter, path: `anchors.${anchor.id}` };

/** A lag of the kit in place of the mount's own; the leaflet's pilot goes with the leaflet's diameter alone. */
export const fromLag = (lag: Lag, instead: Fastener): Fastener => ({
  ...lag,
  kind: 'lag',
  hole: Math.abs(lag.diameter - instead.diameter) < 0.05 ? instead.hole : undefined,
  path: `lags.${lag.id}`,
});

/** A pack's rating is for the boards that it names: on plaster over laths only one that says so counts. */
export const isRatedFor = ({ covers }: Pick<Fastener, 'covers'>, { cover = 'gypsum' }: Build): boolean =>
  covers ? covers.includes(cover) : cover !== 'lath';
