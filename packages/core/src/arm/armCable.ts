import type { Mount, Working } from '@steddo/contract';
import { leaf, minus, node, sum } from '../primitives/working';
import { reachOf, type Arm } from './arm';

/** Cable that a joint takes up so that it can turn, mm. Ours. */
const JOINT_CABLE_MM = 100;

/** The cable along an arm at full reach: links 230 + 230, head 60, three joints of 100: 820. */
export const cableAlong = (mount: Mount, arm: Arm): Working =>
  sum('along-arm', ...linkLeaves(mount), ...jointLeaves(arm));

/**
 * The cable that an arm takes up between folded and fully out: along its links and head with so much for each joint,
 * less the straight run from root to pivot when folded. 820 less 187 for a fold 127 aside.
 */
export function cableSlack(mount: Mount, arm: Arm): Working {
  const folded = node('folded-run', 'hypot', 'mm', [
    leaf('folded-across', arm.folded.x - arm.root.x, 'mm'),
    leaf('folded-out', arm.folded.z - arm.root.z, 'mm'),
  ]);
  return minus('cable-slack', cableAlong(mount, arm), folded, headLeaf(mount));
}

const headLeaf = (mount: Mount): Working => leaf('arm-head', mount.arm?.head ?? 0, 'mm', { path: 'mount.arm.head' });

/** Links and head as measured; without links what the label's reach leaves between wall and set. */
function linkLeaves(mount: Mount): Working[] {
  const links = mount.arm?.kind === 'links' ? (mount.arm.links ?? []) : [];
  const head = headLeaf(mount);
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
