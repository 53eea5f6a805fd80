import type { Finding, Job, Mount, ReachPlan } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { linkageFold, linkageReach } from '../arm/arm';
import { POOR_DEG } from './seatServices';

/** Label and linkage may differ by so much before somebody should measure again, mm. Ours. */
const LABEL_DIFFERS_MM = 15;

/** Wanted between the set and what is under or over it anywhere on its way, mm. Ours. */
const SWING_GAP_MM = 25;

/** Label and linkage that do not tell the same story: somebody should measure again. */
export function labelFindings(mount: Mount): Finding[] {
  const { arm, depth } = mount;
  if (!arm) return [finding('arm-unknown', 'info', 'reach', {})];
  if ((arm.links?.length ?? 0) > 2)
    return [finding('arm-links-many', 'caution', 'reach', { links: arm.links!.length })];
  const folded = arm.kind === 'scissor' ? arm.range?.min : linkageFold(mount, 'left')?.depth;
  const checks = [
    { what: 'folded' as const, label: depth.folded, linkage: folded },
    { what: 'extended' as const, label: depth.extended, linkage: linkageReach(mount) },
  ];
  return checks.flatMap(({ what, label, linkage }) =>
    label === undefined || linkage === undefined || Math.abs(label - linkage) <= LABEL_DIFFERS_MM
      ? []
      : [finding('arm-differs', 'caution', 'reach', { what, labelMm: label, linkageMm: linkage })],
  );
}

/** What the seats do not get, and what is too near. */
export function reachFindings(job: Job, part: ReachPlan): Finding[] {
  const name = (id: string) => job.room.viewers?.find((v) => v.id === id)?.name ?? id;
  const poor = part.seats.filter((s) => s.offAxis > POOR_DEG);
  return [
    ...poor.map((s) =>
      finding('seat-poor', 'caution', 'reach', {
        viewer: name(s.viewer),
        degrees: s.offAxis,
        limit: POOR_DEG,
        by: s.stoppedBy ?? '',
        neededMm: s.reachNeeded ?? 0,
      }),
    ),
    ...sharedFinding(part, name),
    ...nearFindings(part),
  ];
}

/** Seats that need the set turned each its own way, and whether one pose still serves both. */
function sharedFinding({ shared, seats }: ReachPlan, name: (id: string) => string): Finding[] {
  if (!shared || shared.worst <= POOR_DEG) return [];
  const turns = seats.map((s) => s.yaw);
  const values = {
    viewer: name(shared.viewer),
    worst: shared.worst,
    apart: Math.max(...turns) - Math.min(...turns),
  };
  return [finding('seats-apart', 'info', 'reach', values)];
}

function nearFindings({ clearance }: ReachPlan): Finding[] {
  const near = (where: 'below' | 'above', gap: number | undefined, by: string | undefined) =>
    gap === undefined || gap >= SWING_GAP_MM
      ? []
      : [finding('swing-near', 'caution', 'reach', { where, gapMm: gap, by: by ?? '' })];
  return [
    ...near('below', clearance?.below, clearance?.belowBy),
    ...near('above', clearance?.above, clearance?.aboveBy),
  ];
}
