import type { Finding, Job } from '@steddo/contract';
import type { Spot } from '../placement/placeSet';
import { finding } from '../primitives/findings';
import { half, leaf, minus, named, sum } from '../primitives/working';
import { schemePart, type SchemeInput, type SchemeMade } from './schemePart';

/** The TV moves no further for the sake of a joint, and without a range of its rule no further than the second, mm. Ours. */
const MOST_MM = 40;
const PLAIN_MM = 20;

/**
 * How far the TV may move down and up for the holes to miss the joints: within its rule's range, and not at all where the
 * customer's word or a line fixes it. A bottom edge at 1100 in a range of 1067 to 1219: 33 down, 40 up.
 */
export function jointRoom({ aim, choices }: Job, bottomMm: number): { down: number; up: number } {
  if (choices?.centreY !== undefined || aim.height === 'vote' || aim.height === 'line-up') return { down: 0, up: 0 };
  const range = aim.height === 'bottom-band' ? aim.schools?.['bottom-band'] : undefined;
  if (!range) return { down: PLAIN_MM, up: PLAIN_MM };
  const room = (mm: number) => Math.min(MOST_MM, Math.max(0, mm));
  return { down: room(bottomMm - range.from), up: room(range.to - bottomMm) };
}

/** The scheme with the TV moved by the least that takes every hole off the joints, and the note that says so; else as it was. */
export function clearOfJoints(input: SchemeInput, made: SchemeMade | undefined): SchemeMade | undefined {
  const inJoint = made?.findings.find((f) => f.code === 'in-joint');
  const by = inJoint?.values.upMm;
  if (!made || typeof by !== 'number') return made;
  const { frame, spot } = input;
  const { down, up } = jointRoom(frame.job, spot.bottom.value);
  const to = spot.centre.value + by;
  const isFree = spot.feasible.some(({ from, to: until }) => to >= from.at && to <= until.at);
  if (by > up || -by > down || !isFree) return made;
  const moved = schemePart({ ...input, spot: movedBy(spot, by, input) });
  if (!moved || moved.findings.some((f) => f.code === 'in-joint')) return made;
  return { ...moved, findings: [clearedFinding(spot.centre.value, to), ...moved.findings] };
}

function movedBy(spot: Spot, by: number, { frame }: SchemeInput): Spot {
  const centre = sum('set-centre', named('set-centre', spot.centre), leaf('joint-shift', by, 'mm'));
  return { ...spot, centre, bottom: minus('set-bottom', centre, half('half-height', frame.height)) };
}

const clearedFinding = (fromMm: number, toMm: number): Finding =>
  finding('joints-cleared', 'info', 'height', { fromMm, toMm });
