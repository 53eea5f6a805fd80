import type { Fixing, Job, Mount, Slot } from '@steddo/contract';
import { STUD_SPACING_MM } from '../room/usualSizes';
import { WALL_KINDS } from '../room/wallKinds';

/** As far apart as studs are under one plate when its label does not say, mm. Ours. */
const APART_MM = 620;

const SLOT_MM = 10;

/** Whether anybody has drawn the plate: one that is known by its rows alone has no outline. */
export const isDrawn = (plate: Pick<NonNullable<Mount['plate']>, 'width'>): boolean => plate.width > 0;

/**
 * The job with a plate that is known by rows measured on the staged set alone: slots wherever wood comes, at the
 * heights of those rows, and no outline. The same job where the plate was drawn or no row was measured. With one row
 * measured that is the holes' row.
 */
export function stagedJob(job: Job): Job {
  const { mount } = job;
  if (!mount || mount.plate?.slots?.length) return job;
  const rows = rowsOf(job);
  const [lowest] = rows;
  if (lowest === undefined) return job;
  const ups = rows.map((r) => r - lowest);
  const { kind } = job.room.wall.build;
  const studs = mount.studs?.count ?? 2;
  const wall = mount.walls[kind];
  const slots = ups.flatMap((y) => slotsAt(y, mount, WALL_KINDS[kind].main === 'stud' ? 'studs' : 'anywhere'));
  const count = (fixing: Fixing): number => Math.min(fixing.count, ups.length * Math.max(studs, columnsOf(slots)));
  return {
    ...job,
    mount: {
      ...mount,
      plate: { ...mount.plate, width: 0, height: 0, slots },
      walls: wall?.fixing
        ? { ...mount.walls, [kind]: { ...wall, fixing: { ...wall.fixing, count: count(wall.fixing) } } }
        : mount.walls,
    },
  };
}

const columnsOf = (slots: readonly Slot[]): number => new Set(slots.map((s) => s.x)).size;

/** One long slot where studs decide; two as far apart as usual studs where any place will do. */
function slotsAt(y: number, { studs }: Mount, where: 'studs' | 'anywhere'): Slot[] {
  const apart = (studs?.count ?? 2) > 1 ? (studs?.maxSpacing ?? APART_MM) : STUD_SPACING_MM;
  if (where === 'studs') return [{ x: 0, y, length: apart, height: SLOT_MM }];
  const half = Math.min(apart, STUD_SPACING_MM) / 2;
  return [-half, half].map((x) => ({ x, y, length: 2 * SLOT_MM, height: SLOT_MM }));
}

/** The measured rows above the set's lower edge, lowest first, mm. */
function rowsOf({ measured = [], screen }: Job): number[] {
  const height = screen.height ?? (screen.diagonal * 9) / Math.sqrt(337);
  const known = new Map<string, number>();
  for (const m of measured)
    if (m.to.startsWith('row:') && !known.has(m.to))
      if (m.from === 'bottom') known.set(m.to, m.value);
      else if (m.from === 'top') known.set(m.to, height - m.value);
  for (const m of measured) {
    const from = known.get(m.from);
    if (from !== undefined && m.to.startsWith('row:') && !known.has(m.to)) known.set(m.to, from + m.value);
  }
  return [...known.values()].sort((a, b) => a - b);
}
