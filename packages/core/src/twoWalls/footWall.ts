import type { Finding, Hole, Job, Mount, Placement, Plan, Working } from '@steddo/contract';
import type { Carried } from '../arm/hung';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { loadsPart } from '../load/loadsPart';
import { hangsAt, type Frame, type Spot } from '../placement/placeSet';
import { planPlate } from '../plate/planPlate';
import { plateOutline } from '../room/platePlane';
import { schemePart } from '../scheme/schemePart';
import type { StudsFound } from '../wall/inferStuds';

/** A wall of a corner with what is known of it: the job as it is seen from there. */
export interface CornerWall {
  job: Job;
  found: StudsFound;
  wall: Pick<Plan, 'courses' | 'backing'>;
}

/** What is fastened to one wall of a corner: a foot of a rack, or the plate of an arm. */
export interface FootInput {
  frame: Frame;
  spot: Spot;
  here: CornerWall;
  /** Its middle on the wall. */
  x: Working;
  /** As it is screwed on, and as it moves. */
  plate: Mount;
  moving: Mount;
  /** What of the set's weight it carries. */
  share: number;
  carried: readonly Carried[];
  yieldTable: YieldTable;
}

/** How it is held there. */
export interface FootMade {
  holes: Hole[];
  box?: Placement['plate'];
  /** Where the search put its middle. */
  x?: Working;
  section?: Plan['scheme'];
  packing?: Plan['packing'];
  loads?: Plan['loads'];
  spot: Spot;
  findings: Finding[];
}

/** The holes of a foot on its wall, with the load that they carry; its plate where the search puts it. */
export function footOnWall(input: FootInput): FootMade {
  const { frame, spot, here, x, plate: mount, moving, share, carried, yieldTable } = input;
  const { choices } = here.job;
  const { plateX: _p, centreX: _c, fold: _f, timber: _t, ...kept } = choices ?? {};
  const armHole = spot.chain?.armHole;
  const { screen } = here.job;
  // its place on the wall has the pattern's in it already
  const patternCentre = screen.patternCentre && { ...screen.patternCentre, right: 0 };
  const job: Job = {
    ...here.job,
    mount,
    screen: { ...screen, mass: screen.mass * share, ...(patternCentre ? { patternCentre } : {}) },
    choices: { ...kept, ...(armHole === undefined ? {} : { armHole }) },
  };
  const own: Frame = {
    job,
    width: frame.width,
    height: frame.height,
    centreX: x,
    ...(frame.spacer ? { spacer: frame.spacer } : {}),
  };
  const plate = planPlate(job, mount, here.found, x);
  const made = schemePart({
    ...{ frame: own, mount, plate, found: here.found, spot, wall: here.wall, ranking: [], yieldTable },
    carried: { by: carried, mount: moving },
  });
  if (!made) return { holes: [], spot, findings: plate.lacking };
  const { holes, fastening, section, packing } = made;
  const loads =
    fastening && holes.length > 0
      ? loadsPart({ fastening, holes, model: undefined, seats: [], yieldTable })
      : undefined;
  const bottom = hangsAt(made.spot, job).plateBottom;
  const at = made.plate.x.value;
  return {
    holes,
    spot: made.spot,
    x: made.plate.x,
    ...(bottom && mount.plate ? { box: { ...plateOutline(mount.plate, at, bottom.value), x: at } } : {}),
    ...(section
      ? { section: { ...section, ...(loads?.section ? { worstUtilisation: loads.section.worst } : {}) } }
      : {}),
    ...(packing ? { packing } : {}),
    ...(loads?.section ? { loads: loads.section } : {}),
    findings: [...made.findings, ...(loads?.findings ?? [])],
  };
}
