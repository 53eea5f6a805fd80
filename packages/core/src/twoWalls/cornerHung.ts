import type { Finding, Hole, Placement, Plan } from '@steddo/contract';
import { hungAt } from '../placement/placementOf';
import { liftOnFindings } from '../placement/liftOnFindings';
import { boxOf } from '../placement/placeSet';
import { finding } from '../primitives/findings';
import { present } from '../primitives/present';
import { sightFindings } from '../sight/sightFindings';
import type { CornerInput } from './cornerInput';
import { cornerPart } from './cornerPart';
import { sideWallOf, type SideWallMeans } from './sideWall';

type InCorner = Pick<Plan, 'corner' | 'sideWall' | 'marks' | 'holes' | 'scheme' | 'packing' | 'loads' | 'remedies'> & {
  placement: Placement;
  sideHoles: Hole[];
};

/** The set in a corner: what carries it on either wall, and where it hangs from that. */
export function cornerHung(
  input: Omit<CornerInput, 'side'>,
  means: SideWallMeans,
): { section: InCorner; findings: Finding[] } {
  const { job, frame } = input;
  const made = cornerPart({ ...input, side: sideWallOf(job, means) });
  const { spot, plate, findings, holes, sideHoles, corner, sideWall, marks } = made;
  const { placement, angles } = hungAt(frame, spot, undefined);
  return {
    section: {
      ...{ corner, sideWall, marks, sideHoles },
      placement: { ...placement, ...(plate ? { plate } : {}) },
      ...(holes.length > 0 ? { holes } : {}),
      ...present({ scheme: made.scheme, packing: made.packing, loads: made.loads, remedies: made.remedies }),
    },
    findings: [
      finding('corner-out', 'info', 'reach', { outMm: corner.standOff }),
      ...sightFindings(angles, job, frame),
      ...liftOnFindings(frame.job, boxOf(frame, spot)),
      ...findings,
    ],
  };
}
