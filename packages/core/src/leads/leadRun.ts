import type { Item, Job, LeadPlan, Mount, Working } from '@steddo/contract';
import type { Arm } from '../arm/arm';
import { cableAlong, cableSlack } from '../arm/armCable';
import { leadWay } from '../arm/leadWays';
import { leaf, minus, node, sum } from '../primitives/working';
import { onMainWall } from '../room/roomThings';

export type Lead = NonNullable<Job['leads']>[number];

/** A plug and the bend before it, mm. Ours. */
const PLUG_AND_BEND_MM = 100;

/** What a cap takes off a run of trunking at each end, mm. Ours. */
const CAP_MM = 20;

/** Where the set hangs, and the arm that it hangs on. Lengths mm. */
export interface HungSet {
  job: Job;
  centre: { x: number; y: number };
  /** Absent for a mount that does not move. */
  arm?: { mount: Mount; arm: Arm; rootY: number } | undefined;
}

/** One end of a lead on the wall, or at the set. */
interface End {
  x: Working;
  y: Working;
}

/** The run of a lead with where it goes on the wall; undefined while one of its ends is nowhere. */
export function leadRun(
  lead: Lead,
  hung: HungSet,
): { needed: Working; run: Working; path: LeadPlan['path'] } | undefined {
  const { mount } = hung.job;
  const { route } = leadWay(lead, mount);
  const start = startOf(lead, hung);
  const end = endOf(lead, hung.job);
  if (!start) return undefined;
  const run = route === 'trunking' && lead.legs ? legsOf(lead) : end && runOf(route, start, end, hung, atSet(lead));
  if (!run) return undefined;
  const arm = atSet(lead) && route !== 'arm' ? hung.arm : undefined;
  const slack = arm ? [cableSlack(arm.mount, arm.arm)] : [];
  const needed = sum('lead-needs', run, leaf('plug-and-bend', PLUG_AND_BEND_MM, 'mm'), ...slack);
  return { needed, run, path: end ? pathOf(route, start, end, hung, atSet(lead)) : [] };
}

/** The trunking of a run without the caps at its two ends: 1500 of legs are cut to 1460. */
export const trunkingCut = (run: Working): Working =>
  minus('trunking-cut', run, node('caps', '*', 'mm', [leaf('two', 2, 'count'), leaf('cap', CAP_MM, 'mm')]));

const atSet = ({ from = 'set' }: Lead): boolean => from === 'set';

function legsOf({ id, legs = [] }: Lead): Working {
  return sum('trunking-legs', ...legs.map((l, i) => leaf('trunking-leg', l, 'mm', { path: `leads.${id}.legs.${i}` })));
}

function runOf(route: LeadPlan['route'], start: End, end: End, { arm }: HungSet, ofSet: boolean): Working {
  if (route === 'arm' && arm && ofSet) {
    const toRoot = node('outlet-to-root', 'hypot', 'mm', [
      minus('outlet-across', leaf('arm-root', arm.arm.root.x, 'mm'), end.x),
      minus('outlet-up', leaf('arm-root-height', arm.rootY, 'mm'), end.y),
    ]);
    return sum('cable-run', toRoot, cableAlong(arm.mount, arm.arm));
  }
  const along = (label: 'run-across' | 'run-up', a: Working, b: Working) =>
    node(label, 'abs', 'mm', [minus(label, a, b)]);
  return sum('straight-run', along('run-across', start.x, end.x), along('run-up', start.y, end.y));
}

/** Where it leaves the set, or the thing that it starts at; undefined where that is not there. */
function startOf(lead: Lead, { job, centre }: HungSet): End | undefined {
  if (!atSet(lead)) {
    const thing = itemOf(job, lead.from);
    return thing && middleOf(thing);
  }
  const port = (side: 'right' | 'up') =>
    leaf(`port-${side}`, lead.port?.[side] ?? 0, 'mm', {
      path: `leads.${lead.id}.port.${side}`,
      guess: lead.port === undefined,
    });
  return {
    x: sum('port-x', leaf('set-centre-x', centre.x, 'mm'), port('right')),
    y: sum('port-y', leaf('set-centre', centre.y, 'mm'), port('up')),
  };
}

function endOf(lead: Lead, job: Job): End | undefined {
  const item = itemOf(job, lead.to);
  return item && middleOf(item);
}

const itemOf = (job: Job, id: string | undefined): Item | undefined =>
  onMainWall(job.room.objects).find((o) => o.id === id);

function middleOf(item: Item): End {
  const edge = (side: 'left' | 'right' | 'bottom' | 'top') =>
    leaf(`object-${side}`, item[side], 'mm', { path: `room.objects.${item.id}.${side}` });
  return {
    x: node('object-middle', 'mean', 'mm', [edge('left'), edge('right')]),
    y: node('object-middle', 'mean', 'mm', [edge('bottom'), edge('top')]),
  };
}

/** Along x at the port's height, then up or down to the outlet; with an arm by its root. */
function pathOf(route: LeadPlan['route'], start: End, end: End, { arm }: HungSet, ofSet: boolean): LeadPlan['path'] {
  const at = (x: Working, y: Working) => ({ x: x.value, y: y.value });
  const from = at(start.x, start.y);
  const to = at(end.x, end.y);
  if (route === 'arm' && arm && ofSet) return [from, { x: arm.arm.root.x, y: arm.rootY }, to];
  return [from, { x: to.x, y: from.y }, to];
}
