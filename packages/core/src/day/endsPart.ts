import type { Finding, Job, Mount, Part as Taken, Placement, Plan } from '@steddo/contract';
import { armOf } from '../arm/arm';
import { isCorner } from '../room/roomKind';
import { leadWay } from '../arm/leadWays';
import { hangPart } from '../hang/hangPart';
import type { StepContext } from '../hang/stepTable';
import { leadsPart } from '../leads/leadsPart';
import { armHoles } from '../placement/chain';
import { portFindings } from '../screen/portFindings';
import { soundbarPlace } from '../placement/soundbarPlace';
import { dayPart } from './dayPart';

/** What of a plan the ends of the job follow from. */
export interface EndsInput {
  job: Job;
  mount: Mount;
  screen: Plan['screen'];
  people: number;
  /** Its pattern is larger than the mount's plate. */
  extended: boolean;
  holes: NonNullable<Plan['holes']>;
  parts: readonly Taken[];
  timber: Plan['timber'];
  recess: Plan['recess'];
  /** Absent while nobody knows where it hangs. */
  placement?: Placement | undefined;
}

type Ends = Pick<Plan, 'leads' | 'hang' | 'day' | 'soundbar'>;

/** Leads, hanging and the day: what follows once the set has a mount and a place. */
export function endsPart(input: EndsInput): { section: Ends; findings: Finding[] } {
  const { job, mount, screen, people, extended, holes, parts, timber, recess, placement } = input;
  // how long a lead has to be round a corner nobody has worked out
  const leads =
    placement && !isCorner(job) ? leadsPart(hungSet(input, placement), behind(input, placement)) : { findings: [] };
  // a lead of which nobody knows where it goes still has to go in
  const ways = (job.leads ?? []).map((l) => leadWay(l, mount));
  const context: StepContext = { job, mount, holes, leads: ways, people, extended, timber, recess };
  const hang = placement ? hangPart(context, placement) : { findings: [] };
  const soundbar = placement && soundbarPlace(job, placement);
  return {
    section: {
      ...(leads.section ? { leads: leads.section } : {}),
      ...(hang.section ? { hang: hang.section } : {}),
      day: dayPart({ context, screen, parts, leads: leads.section ?? [] }),
      ...(soundbar ? { soundbar } : {}),
    },
    findings: [...portFindings(job, armHoles(mount)[placement?.armHole ?? 0]), ...leads.findings, ...hang.findings],
  };
}

const spacerOf = ({ screws, screwCheck }: Plan['screen']): number =>
  screws?.find((s) => s.id === screwCheck?.chosen)?.spacer ?? 0;

function hungSet({ job, mount, screen }: EndsInput, { centre, plate, fold = 'left' }: Placement) {
  const arm = armOf(mount, plate?.x ?? centre.x, fold, spacerOf(screen));
  const rootY = plate ? (plate.bottom + plate.top) / 2 : centre.y;
  return { job, centre, ...(arm ? { arm: { mount, arm, rootY } } : {}) };
}

const behind = ({ mount, screen }: EndsInput, { left, right, bottom, top }: Placement) => ({
  left,
  right,
  bottom,
  top,
  gapMm: mount.depth.folded + spacerOf(screen),
});
