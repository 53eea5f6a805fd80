import type { Finding, Item, Job, LeadPlan } from '@steddo/contract';
import { SAME_MM } from '../primitives/epsilons';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { leaf, minus } from '../primitives/working';
import { onMainWall } from '../room/roomThings';
import { leadWay } from '../arm/leadWays';
import { leadRun, trunkingCut, type HungSet, type Lead } from './leadRun';

/** A plug standing out of its outlet, when nobody has measured it, mm. Ours. */
const PLUG_MM = 40;

/** What a set hangs in front of, and how much the folded mount leaves behind it, mm. */
export interface BehindSet {
  left: number;
  right: number;
  bottom: number;
  top: number;
  gapMm: number;
}

/**
 * Each lead's whole run against its length: port to outlet straight along x and y, along the arm, or the legs of its
 * trunking; 100 for plug and bend, and what an arm takes up. Port 200 left of the middle and 150 below, outlet 565
 * right and 1043 below: 765 + 893 + 100 = 1758. A lead of which one end is nowhere is only named.
 */
export function leadsPart(hung: HungSet, behind: BehindSet): Part<LeadPlan[]> {
  const { job } = hung;
  const given = job.leads ?? [];
  const planned = given.map((lead) => ({ lead, plan: leadOf(lead, hung) }));
  const section = planned.flatMap(({ plan }) => plan ?? []);
  return {
    ...(section.length > 0 ? { section } : {}),
    findings: [
      ...planned.flatMap(({ lead, plan }) =>
        plan ? [] : [finding('lead-unplaced', 'info', 'hang', { what: lead.what })],
      ),
      ...section.flatMap(shortFinding),
      ...(section.some((l) => l.route === 'rated-kit') ? [finding('lead-in-wall', 'info', 'hang', {})] : []),
      ...plugFindings(job, behind),
      ...overPorts(hung),
    ],
  };
}

function leadOf(lead: Lead, hung: HungSet): LeadPlan | undefined {
  const made = leadRun(lead, hung);
  if (!made) return undefined;
  const { mount } = hung.job;
  const { needed, run, path } = made;
  const way = leadWay(lead, mount);
  const has =
    lead.length === undefined ? undefined : leaf('lead-length', lead.length, 'mm', { path: `leads.${lead.id}.length` });
  const slack = has && minus('lead-slack', has, needed);
  const cut = way.route === 'trunking' ? trunkingCut(run) : undefined;
  return {
    id: lead.id,
    ...way,
    needed: needed.value,
    ...(lead.length === undefined ? {} : { length: lead.length }),
    ...(slack ? { slack: slack.value } : {}),
    ...(cut ? { cut: cut.value } : {}),
    path,
    workings: { needed, ...(slack ? { slack } : {}), ...(cut ? { cut } : {}) },
  };
}

function shortFinding({ what, length, needed, slack }: LeadPlan): Finding[] {
  if (slack === undefined || length === undefined || slack >= -SAME_MM) return [];
  return [finding('lead-short', 'caution', 'hang', { what, lengthMm: length, neededMm: needed, shortMm: -slack })];
}

/**
 * A plug in an outlet behind the folded set needs the outlet's and the plug's depth: 5 + 40 does not go behind a set
 * 30 off the wall, and 15 are missing. So does a box that hangs there.
 */
export function plugFindings(job: Job, behind: BehindSet): Finding[] {
  const covered = (job.room.objects ?? []).filter(
    (o) =>
      (o.wall ?? 'main') === 'main' &&
      o.left < behind.right &&
      behind.left < o.right &&
      o.bottom < behind.top &&
      behind.bottom < o.top,
  );
  const haveMm = behind.gapMm;
  return covered.flatMap((o) => {
    const deepest = deepestOf(o, job);
    if (deepest === undefined || deepest <= haveMm + SAME_MM) return [];
    if (o.kind === 'device')
      return [finding('device-too-deep', 'caution', 'hang', { object: o.id, needMm: deepest, haveMm })];
    return [finding('plug-behind', 'caution', 'hang', { object: o.id, needMm: deepest, haveMm }, 'plug 40 mm, ours')];
  });
}

/** Boxes behind the set that sit on a port of one of its leads. */
function overPorts({ job, centre }: HungSet): Finding[] {
  const boxes = onMainWall(job.room.objects).filter((o) => o.kind === 'device');
  return (job.leads ?? []).flatMap(({ port, what }) => {
    if (!port) return [];
    const [x, y] = [centre.x + port.right, centre.y + port.up];
    const box = boxes.find((o) => o.left < x && x < o.right && o.bottom < y && y < o.top);
    return box ? [finding('device-over-port', 'caution', 'hang', { object: box.id, what })] : [];
  });
}

/** How far what is there stands out, plugs and all; undefined where nothing does. */
function deepestOf(o: Item, { leads = [], screen }: Job): number | undefined {
  if (o.kind === 'device') return o.depth ?? o.out;
  if (o.kind !== 'outlet') return undefined;
  const plugs = leads.filter((l) => l.to === o.id).map((l) => l.plugDepth ?? screen.plugDepth ?? PLUG_MM);
  return (o.out ?? 0) + (plugs.length > 0 ? Math.max(...plugs) : PLUG_MM);
}
