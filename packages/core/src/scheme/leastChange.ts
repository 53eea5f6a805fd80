import type { Job, LeastChange, Mount, Ranked, Working } from '@steddo/contract';
import type { StudsFound } from '../wall/inferStuds';
import { leaf, sum } from '../primitives/working';
import { plateSearch } from '../plate/planPlate';
import type { Kit } from '../fixing/kit';
import { plateOptions, type LagSetting } from '../plate/plateSearch';
import { policyOf } from './ways';
import { SAME_MM } from '../primitives/epsilons';

/** A job changed in one thing, and whether the holes pass then. */
export type Tries = (job: Job, centreX: Working) => boolean;

export interface ChangeInput {
  job: Job;
  mount: Mount;
  found: StudsFound;
  centreX: Working;
  kit: Kit;
  ranking: readonly Ranked[];
  /** Where the set's centre line may be, mm. */
  freeX: readonly (readonly [number, number])[];
  passes: Tries;
}

/**
 * The least change with which the holes pass, each tried with the whole search: what was chosen by hand is
 * let go first, then the set moved sideways, a longer lag, another mount, another school; at last a timber
 * packed across two studs, which takes the plate anywhere. Undefined where none of them helps.
 */
export function leastChange(input: ChangeInput): LeastChange | undefined {
  for (const change of CHANGES) {
    const found = change(input);
    if (found) return found;
  }
  return undefined;
}

type Change = (input: ChangeInput) => LeastChange | undefined;

const without = (job: Job, choice: keyof NonNullable<Job['choices']>): Job => {
  const choices = { ...job.choices };
  delete choices[choice];
  return { ...job, choices };
};

const freed =
  (choice: 'plateX' | 'armHole' | 'fold', kind: LeastChange['kind']): Change =>
  ({ job, centreX, passes }) =>
    job.choices?.[choice] !== undefined && passes(without(job, choice), centreX) ? { kind } : undefined;

/** The set sideways, as little as brings some plate over studs. */
const shiftSet: Change = ({ job, mount, found, centreX, freeX, passes }) => {
  const made = plateSearch(without(job, 'plateX'), mount, found, centreX);
  if (!made) return undefined;
  for (const by of shiftsOf(made)) {
    const at = centreX.value + by;
    if (!freeX.some(([from, to]) => at >= from - SAME_MM && at <= to + SAME_MM)) continue;
    const moved = sum('centre-chosen', centreX, leaf('set-shift', by, 'mm'));
    if (passes(without(job, 'plateX'), moved)) return { kind: 'shift-set', by };
  }
  return undefined;
};

/** How far the set would have to go for each plate that lies beyond its slide, least first; a few of them. */
function shiftsOf(search: LagSetting): number[] {
  const { slide } = search;
  const beyond = plateOptions({ ...search, slide: Infinity })
    .map((o) => o.shift)
    .filter((s) => Math.abs(s) > slide);
  const by = beyond.map((s) => Math.sign(s) * (Math.abs(s) - slide));
  const seen = new Set<number>();
  return by
    .sort((a, b) => Math.abs(a) - Math.abs(b))
    .filter((s) => !seen.has(Math.round(s)) && seen.add(Math.round(s)))
    .slice(0, MOST_SHIFTS);
}
const MOST_SHIFTS = 4;

const longerLag: Change = ({ job, mount, centreX, kit, passes }) => {
  const { kind } = job.room.wall.build;
  const wall = mount.walls[kind];
  if (wall?.fixing?.kind !== 'lag') return undefined;
  const own = wall.fixing;
  const more = kit.lags
    .filter((l) => l.length > own.length || l.diameter > own.diameter)
    .sort((a, b) => a.length - b.length || a.diameter - b.diameter);
  const lag = more.find(({ id: _, name: _n, ...size }) => {
    const fixing = { kind: own.kind, count: own.count, ...size };
    const other: Mount = { ...mount, walls: { ...mount.walls, [kind]: { ...wall, fixing } } };
    return passes({ ...job, mount: other }, centreX);
  });
  return lag && { kind: 'longer-lag', to: lag.id, by: lag.length - own.length };
};

const otherMount: Change = ({ mount, ranking }) => {
  const other = ranking.find((r) => r.id !== mount.id && r.verdict !== 'stop' && r.toMeasure.length === 0);
  return other && { kind: 'other-mount', to: other.name };
};

const otherSchool: Change = ({ job, centreX, passes }) => {
  const order = ['studs-only', 'stud-first', 'rated-anchors'] as const;
  const more = order.slice(order.indexOf(policyOf(job)) + 1);
  const to = more.find((school) => passes({ ...job, fixing: { ...job.fixing, school } }, centreX));
  return to && { kind: 'other-school', to };
};

/** A level timber over two studs, and the plate onto that: holds wherever the set is wanted. */
const packAcross: Change = ({ job, found }) =>
  job.room.wall.build.kind === 'timber-stud' && found.studs.length >= 2 ? { kind: 'pack-across-studs' } : undefined;

const CHANGES: readonly Change[] = [
  freed('plateX', 'free-plate'),
  freed('armHole', 'other-arm-hole'),
  freed('fold', 'other-fold'),
  shiftSet,
  longerLag,
  otherMount,
  packAcross,
  otherSchool,
];
