import type { Job, Mount, ReachPlan, Working } from '@steddo/contract';
import { leaf, minus, node, sum } from '../primitives/working';
import { reachOf, type Arm } from '../arm/arm';
import type { Point } from '../primitives/convex';

/** Cable that a joint takes up so that it can turn, mm. Ours. */
const JOINT_CABLE_MM = 100;

export interface CableRun {
  cableSlack: Working;
  leads: NonNullable<ReachPlan['leads']>;
}

/**
 * The cable that an arm takes up: along its links and head with so much for each joint, less the
 * straight run from root to pivot when folded; and each lead's whole run from its outlet.
 * Links 230 + 230, head 60, three joints of 100, folded 127 aside: 820 less 187.
 */
export function cableRun(job: Job, mount: Mount, arm: Arm, rootY: number): CableRun {
  const along = sum('along-arm', ...linkLeaves(mount), ...jointLeaves(arm));
  const folded = node('folded-run', 'hypot', 'mm', [
    leaf('folded-across', arm.folded.x - arm.root.x, 'mm'),
    leaf('folded-out', arm.folded.z - arm.root.z, 'mm'),
  ]);
  const head = leaf('arm-head', mount.arm?.head ?? 0, 'mm', { path: 'mount.arm.head' });
  const leads = (job.leads ?? []).flatMap((l) => {
    const item = job.room.objects?.find((o) => o.id === l.to);
    if (!item || (item.wall ?? 'main') !== 'main') return [];
    const middle: Point = { x: (item.left + item.right) / 2, z: (item.bottom + item.top) / 2 };
    const toRoot = node('outlet-to-root', 'hypot', 'mm', [
      leaf('outlet-across', arm.root.x - middle.x, 'mm'),
      leaf('outlet-up', rootY - middle.z, 'mm'),
    ]);
    const working = sum('cable-run', toRoot, along);
    const length = l.length === undefined ? {} : { length: l.length };
    return [{ id: l.id, what: l.what, run: working.value, ...length, working }];
  });
  return { cableSlack: minus('cable-slack', along, folded, head), leads };
}

/** Links and head as measured; without links what the label's reach leaves between wall and set. */
function linkLeaves(mount: Mount): Working[] {
  const links = mount.arm?.kind === 'links' ? (mount.arm.links ?? []) : [];
  const head = leaf('arm-head', mount.arm?.head ?? 0, 'mm', { path: 'mount.arm.head' });
  if (links.length > 0)
    return [...links.map((l, i) => leaf('arm-link', l, 'mm', { path: `mount.arm.links.${i}` })), head];
  const out = leaf('mount-extended', reachOf(mount), 'mm', { path: 'mount.depth.extended' });
  return [minus('arm-out', out, head), head];
}

function jointLeaves({ kind }: Arm): Working[] {
  const joints = { none: 1, one: 2, two: 3, scissor: 2 }[kind];
  return [
    node('joints-take', '*', 'mm', [leaf('joints', joints, 'count'), leaf('cable-a-joint', JOINT_CABLE_MM, 'mm')]),
  ];
}
