import type { BuildKind, Fixing, Job, Lag, Mount } from '@steddo/contract';
import { boardOf, buildsOf, gapOf } from '../room/wallAt';
import { plateOf, STUD_DEPTH_MM } from './fastenerCapacity';
import { isHollow } from './fixingKinds';
import { lagSizeOf, LEAST_PENETRATION_D, usualThread } from './lagTables';
import { lagHold } from './lagWithdrawal';

/** The lag that leaflets ask for most, mm: 5/16 in. Common practice. */
const USUAL_SHANK_MM = 7.94;

/** Screws of a plate whose label does not count them. Common practice. */
const USUAL_COUNT = 4;

/**
 * The job with a lag of its kit where its mount lists a timber wall and gives no lag for it: one that somebody has
 * entered, that goes through the slots and reaches far enough into the stud. The same job where nothing is lacking, or
 * nothing serves. The kit of the demo is nobody's: `guessed` names `lags`.
 */
export function withKitLag(job: Job): Job {
  const { mount, lags = [], guessed = [] } = job;
  if (!mount || lags.length === 0 || guessed.includes('lags')) return job;
  const build = buildsOf(job.room.wall).find((b) => b.kind === 'timber-stud');
  const wall = build && mount.walls[build.kind];
  if (!wall || !lacksLag(wall.fixing)) return job;
  const lag = [...lags].sort(byUse).find((l) => serves(l, mount, boardOf(build) + gapOf(build), build.studDepth));
  return lag ? { ...job, mount: withFixing(mount, build.kind, lag) } : job;
}

/** No fixing at all, or one for the hollow, though the wall has studs. */
export const lacksLag = (fixing: Fixing | undefined): boolean => !fixing || isHollow(fixing.kind);

const byUse = (a: Lag, b: Lag): number =>
  Math.abs(a.diameter - USUAL_SHANK_MM) - Math.abs(b.diameter - USUAL_SHANK_MM) || a.length - b.length;

function serves(lag: Lag, mount: Mount, over: number, depth = STUD_DEPTH_MM): boolean {
  const size = lagSizeOf(lag.diameter);
  const slots = mount.plate?.slots ?? [];
  const through = slots.some((s) => s.height >= lag.diameter && s.length >= lag.diameter);
  if (!size || !(through || slots.length === 0)) return false;
  const thread = lag.threadLength ?? usualThread(lag.length);
  const hold = lagHold(
    { length: lag.length, thread, tip: size.tipMm },
    plateOf(mount) + (lag.washer ?? 0) + over,
    depth,
  );
  return hold.thread >= LEAST_PENETRATION_D * size.shankMm;
}

function withFixing(mount: Mount, kind: BuildKind, { name: _, ...lag }: Lag): Mount {
  const wall = mount.walls[kind]!;
  const rows = new Set((mount.plate?.slots ?? []).map((s) => s.y)).size * (mount.studs?.count ?? 2);
  const count = Math.min(wall.fixing?.count ?? USUAL_COUNT, rows || USUAL_COUNT);
  return { ...mount, walls: { ...mount.walls, [kind]: { ...wall, fixing: { kind: 'lag', ...lag, count } } } };
}
