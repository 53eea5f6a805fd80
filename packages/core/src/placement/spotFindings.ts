import type { Conflict, Finding, Job } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { sidewaysWay, type Frame, type Spot } from './placeSet';

/** What there is to say about the height that was found, or about there being none. */

/** A height that is nowhere free, with the centre line at which it would be. */
export function withSideways(frame: Frame, spot: Spot): Spot {
  const sideways = spot.conflict && sidewaysWay(frame, spot.wanted);
  return spot.conflict && sideways !== undefined ? { ...spot, conflict: { ...spot.conflict, sideways } } : spot;
}

export function conflictFinding(frame: Frame, spot: Spot, conflict: Conflict): Finding {
  const sidewaysMm = conflict.sideways ?? frame.centreX.value;
  const relax = conflict.relax ?? [];
  return finding('height-conflict', 'stop', 'height', {
    constraints: conflict.constraints,
    relax: relax.map((r) => r.by),
    amountsMm: relax.map((r) => r.amount),
    atMm: conflict.at ?? spot.wanted.value,
    sidewaysMm: sidewaysMm - frame.centreX.value,
  });
}

/** The set is not where it was wanted: what keeps it from there. */
export function movedFinding(job: Job, spot: Spot): Finding[] {
  const [by] = spot.binding;
  if (by === undefined) return [];
  const values = {
    school: job.choices?.centreY === undefined ? job.aim.height : 'chosen',
    wantedMm: spot.wanted.value,
    gotMm: spot.centre.value,
    by,
  };
  return [finding('height-moved', 'caution', 'height', values)];
}
