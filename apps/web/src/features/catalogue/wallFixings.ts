import type { BuildKind, Fixing } from '@steddo/contract';

/** The mount's own fixing of a wall, as the form asks for it. */
export interface WallFixing {
  wall: BuildKind;
  kind: Fixing['kind'];
  /** What its fields begin with. */
  prefix: 'lag' | 'sleeve' | 'tapper' | 'backing';
  /** As it stands before its measures. */
  name: string;
  /** Wood is computed; elsewhere it holds what its leaflet says. */
  rated: boolean;
}

/** What a label or leaflet gives for each kind of wall. */
export const WALL_FIXINGS: readonly WallFixing[] = [
  { wall: 'timber-stud', kind: 'lag', prefix: 'lag', name: 'its lags', rated: false },
  { wall: 'masonry', kind: 'masonry-sleeve', prefix: 'sleeve', name: 'its masonry sleeves', rated: true },
  { wall: 'metal-stud', kind: 'self-tapping', prefix: 'tapper', name: 'its self-tappers for studs', rated: true },
  { wall: 'metal-backing', kind: 'self-tapping', prefix: 'backing', name: 'its self-tappers for backing', rated: true },
];

const MEASURES = ['Diameter', 'Length', 'Count'] as const;
const RATINGS = ['Tension', 'Shear'] as const;
export type FixingField = `${WallFixing['prefix']}${(typeof MEASURES)[number] | (typeof RATINGS)[number]}`;

/** The fields without which a fixing is none. */
export const measuresOf = ({ prefix }: WallFixing): FixingField[] => MEASURES.map((m): FixingField => `${prefix}${m}`);

export const ratingsOf = ({ prefix }: WallFixing): FixingField[] => RATINGS.map((m): FixingField => `${prefix}${m}`);

/** All of them, each with what `of` gives for it. */
export const eachFixing = <T>(of: (field: FixingField) => T): Record<FixingField, T> =>
  Object.fromEntries(WALL_FIXINGS.flatMap((w) => [...measuresOf(w), ...ratingsOf(w)]).map((f) => [f, of(f)])) as Record<
    FixingField,
    T
  >;
