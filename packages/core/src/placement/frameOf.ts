import type { Finding, Job, Working } from '@steddo/contract';
import { cornerPlace } from '../corner/cornerPlace';
import { facingJob } from '../corner/facingJob';
import type { Part } from '../primitives/part';
import { leaf } from '../primitives/working';
import { isCorner } from '../room/roomKind';
import { centreRule } from './centreRule';
import { wishOf } from './heightRules';
import { edges, placeSideways, type Frame } from './placeSet';

export type Framed = { ok: true; frame: Frame; findings: Finding[] } | { ok: false; finding: Finding };

/** The set sideways: where its rule wants its centre line, as near as the wall's ends allow. */
export function frameOf(job: Job, { width, height }: { width: Working; height: Working }): Framed {
  if (isCorner(job)) return inCorner(job, { width, height });
  const centre = centreRule(job);
  if (!centre.ok) return centre;
  const { centreX, findings } = placeSideways(job, width, centre.x);
  return { ok: true, frame: { job, width, height, centreX }, findings };
}

/** A set in a corner by the line that halves it: sideways there is nothing to choose. */
function inCorner(job: Job, { width, height }: { width: Working; height: Working }): Framed {
  const { facing, offset } = cornerPlace(job, width);
  return { ok: true, frame: { job: facingJob(job), width, height, centreX: offset, facing }, findings: [] };
}

/** What is wanted of the centre's height: chosen by hand, or the height rule that is followed. */
export function wantedHeight(frame: Frame): Part<Working> {
  const { job } = frame;
  const wish = wishOf(job.aim.height, job, frame.height, edges(frame));
  const chosen = job.choices?.centreY;
  const findings = wish.ok ? [] : [wish.finding];
  if (chosen !== undefined)
    return { section: leaf('centre-chosen', chosen, 'mm', { path: 'choices.centreY' }), findings };
  return wish.ok ? { section: wish.centre, findings } : { findings };
}
