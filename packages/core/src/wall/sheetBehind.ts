import type { Job, Zone } from '@steddo/contract';
import { PROBE_WRONG } from '../primitives/wallFacts';
import { backingOf } from './otherTimber';
import type { WallBelief } from './wallBelief';

/** How often there is a sheet of wood behind a wall's board. Ours. */
const SHEET_PRIOR = 0.005;

/** Pokes that met wood at fewer places say nothing about a sheet. */
const LEAST_POKES = 3;

/** How much likelier a poke finds wood where there is wood than where there is none. */
const POKE = Math.log((1 - PROBE_WRONG) / PROBE_WRONG);

/**
 * The chance that the wood which pokes have met is a sheet behind the board rather than studs: as many times likelier
 * as the pokes fit wood everywhere better than any layout of studs does. Wood at 42, 48, 60 and 64 in stands closer than
 * studs are set: over 0.9. Pokes beside one stud, hollow beyond it: 0.
 */
export function sheetChance({ says, logZ }: WallBelief): number {
  let [wood, hollow] = [0, 0];
  for (const { says: s } of says) {
    if (s.kind !== 'probe') continue;
    if (s.log > 0) wood += 1;
    else hollow += 1;
  }
  if (wood < LEAST_POKES) return 0;
  const odds = Math.exp((wood - hollow) * POKE - logZ) * (SHEET_PRIOR / (1 - SHEET_PRIOR));
  return odds === Infinity ? 1 : odds / (1 + odds);
}

/** From this chance on a sheet is proposed, and no anchor is led by the belief that there are only studs. Ours. */
export const SHEET_LIKELY = 0.9;

/** Backing was marked or met on a wall that was said to have studs. */
export const backingMet = ({ evidence = [] }: Pick<Job, 'evidence'>): boolean =>
  evidence.some(
    (e) =>
      (e.wall ?? 'main') === 'main' && (e.kind === 'backing-edge' || (e.kind === 'probe' && e.found === 'backing')),
  );

/** No zone of a job is called this. */
const SHEET = 'sheet behind the board';

/** How far off the outline of a sheet may be where it was found by small pokes, mm. Ours. */
const OUTLINE_DOUBT_MM = 5;

/** What is lacking before a sheet behind the board can be screwed into: its edges, or how thick it is. */
export function sheetLacks({
  wall,
  evidence = [],
}: {
  wall: Job['room']['wall'];
  evidence?: Job['evidence'];
}): 'edges' | 'thickness' | undefined {
  const found = backingOf(evidence.filter((e) => (e.wall ?? 'main') === 'main'));
  const { left, right, bottom, top } = found ?? {};
  if (left === undefined || right === undefined || bottom === undefined || top === undefined) return 'edges';
  return wall.build.thickness === undefined ? 'thickness' : undefined;
}

/** A stud wall with a traced sheet of wood as a part of it; undefined while an edge, or its thickness, is lacking. */
export function sheetWall(wall: Job['room']['wall'], evidence: Job['evidence']): Job['room']['wall'] | undefined {
  if (wall.build.kind !== 'timber-stud' || sheetLacks({ wall, evidence })) return undefined;
  const { left, right, bottom, top } = backingOf((evidence ?? []).filter((e) => (e.wall ?? 'main') === 'main'))!;
  const box = { left: left!, right: right!, bottom: bottom!, top: top! };
  if (box.left >= box.right || box.bottom >= box.top) return undefined;
  const zone: Zone = { id: SHEET, ...box, build: { kind: 'timber-backing' }, doubt: OUTLINE_DOUBT_MM };
  return { ...wall, zones: [...(wall.zones ?? []), zone] };
}

/** The job with a traced sheet behind its board: the mount's own lags hold in it by its thickness. Else the same job. */
export function withSheet(job: Job, walled: typeof sheetWall = sheetWall): Job {
  const wall = walled(job.room.wall, job.evidence);
  if (!wall) return job;
  const { mount } = job;
  const own = mount?.walls['timber-stud'];
  const walls = mount && own && { ...mount.walls, 'timber-backing': mount.walls['timber-backing'] ?? own };
  return { ...job, ...(walls ? { mount: { ...mount, walls } } : {}), room: { ...job.room, wall } };
}
