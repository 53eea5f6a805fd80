import type { Finding, Job, Measured, Mount, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { half, leaf, minus, node, sum } from '../primitives/working';
import { patternAt } from '../room/hungSides';

/** A measured value further than this from the geometry means that something is upside down, mm. Ours. */
const MEASURED_CHECK_MM = 5;

/**
 * The chain of sums from the set's bottom edge to hook and plate, for one arm hole.
 *
 *   set's top    ┬
 *                │           bottom to hook  = height/2 + pattern centre up - pattern above hook
 *   hook  ───────┤  ┬        bottom to plate = bottom to hook - hook above the plate's bottom
 *   plate bottom ┤  ┴
 *   set's bottom ┴           what was measured on the set itself wins over both
 */
export interface Chain {
  armHole: number;
  toHook?: Working;
  toPlate?: Working;
  findings: Finding[];
}

/** The arm holes of a mount: pattern centre above the hook rail, one entry per hole. */
export function armHoles(mount: Mount): number[] {
  const holes = mount.patternAboveHook;
  if (holes === undefined) return [];
  return typeof holes === 'number' ? [holes] : holes;
}

/**
 * Bottom edge to hook and to the plate's bottom, mm. Undefined parts are what the mount lacks; without
 * a mount only what was measured on the set counts.
 * Set 648 tall, pattern 40 below the middle, arm hole -10, hook 190 up the plate:
 * 324 - 40 + 10 = 294 to the hook, 104 to the plate.
 */
export function chainOf(job: Job, mount: Mount | undefined, height: Working, armHole: number): Chain {
  const geometry = mount ? geometryChain(job, mount, height, armHole) : {};
  const usable = (job.measured ?? []).map((m, i) => measuredChain(m, i, mount, height));
  const first = usable.find((c) => c.toHook || c.toPlate);
  if (!first) return { ...geometry, armHole, findings: unused(job, usable) };
  const checks = [geometry, ...usable].filter((c) => c !== first);
  return {
    armHole,
    toHook: first.toHook ?? geometry.toHook,
    toPlate: first.toPlate,
    findings: [...unused(job, usable), ...differences(job, first, checks)],
  };
}

type Steps = Pick<Chain, 'toHook' | 'toPlate'>;

function geometryChain(job: Job, mount: Mount, height: Working, armHole: number): Steps {
  const above = armHoles(mount)[armHole];
  if (above === undefined) return {};
  const toHook = minus(
    'bottom-to-hook',
    sum('bottom-to-pattern', half('half-height', height), patternAt(job).up),
    leaf('pattern-above-hook', above, 'mm', { path: `mount.patternAboveHook.${armHole}` }),
  );
  return { toHook, toPlate: hookToPlate(toHook, mount) };
}

const hookToPlate = (toHook: Working, mount: Mount | undefined): Working | undefined =>
  mount?.hook && minus('bottom-to-plate', toHook, hookAbove(mount.hook.above));

const hookAbove = (above: number): Working => leaf('hook-above-plate', above, 'mm', { path: 'mount.hook.above' });

function measuredChain(m: Measured, index: number, mount: Mount | undefined, height: Working): Steps {
  // between rows of the plate: it says where they are, and nothing of the set
  if (m.from !== 'bottom' && m.from !== 'top') return {};
  const value = leaf(`measured-${m.from}`, m.value, 'mm', { path: `measured.${m.id ?? index}.value` });
  const up = m.from === 'bottom' ? value : minus('measured-from-bottom', height, value);
  if (m.to === 'hook')
    return {
      toHook: node('bottom-to-hook', '+', 'mm', [up]),
      toPlate: hookToPlate(up, mount),
    };
  const within = withinPlate(m.to, mount);
  if (!within) return {};
  const toPlate = minus('bottom-to-plate', up, within);
  if (!mount?.hook) return { toPlate };
  return { toPlate, toHook: sum('bottom-to-hook', toPlate, hookAbove(mount.hook.above)) };
}

/** Height of a reference above the plate's bottom. */
function withinPlate(to: string, mount: Mount | undefined): Working | undefined {
  if (to === 'plate-bottom') return leaf('plate-bottom', 0, 'mm');
  const plate = mount?.plate;
  if (!plate) return undefined;
  if (to === 'plate-top') return leaf('plate-height', plate.height, 'mm', { path: 'mount.plate.height' });
  const rows = slotRows(plate.slots ?? []);
  const row = rows[Number(to.split(':')[1])];
  return row === undefined ? undefined : leaf('slot-row', row, 'mm', { path: 'mount.plate.slots' });
}

/** The heights of the plate's slot rows above its bottom, lowest first. */
export const slotRows = (slots: readonly { y: number }[]): number[] =>
  [...new Set(slots.map((s) => s.y))].sort((a, b) => a - b);

function unused(job: Job, usable: readonly Steps[]): Finding[] {
  return (job.measured ?? [])
    .filter((m, i) => !m.from.startsWith('row:') && !usable[i]?.toHook && !usable[i]?.toPlate)
    .map((m) => finding('measured-unused', 'caution', 'mount', { to: m.to }));
}

/** The first measurement governs; every other way to the same point checks it. */
function differences(job: Job, first: Steps, others: readonly Steps[]): Finding[] {
  const to = job.measured?.[0]?.to ?? 'hook';
  return others.flatMap((other) => {
    const plates = first.toPlate && other.toPlate && to !== 'hook';
    const key = plates || !first.toHook || !other.toHook ? 'toPlate' : 'toHook';
    const [a, b] = [first[key]?.value, other[key]?.value];
    if (a === undefined || b === undefined || Math.abs(a - b) <= MEASURED_CHECK_MM) return [];
    const values = { to, measuredMm: a, geometryMm: b, differenceMm: a - b };
    return [finding('measured-differs', 'caution', 'mount', values)];
  });
}
