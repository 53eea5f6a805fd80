import type { Item, Job, Plan, Working } from '@steddo/contract';
import type { Part } from '../primitives/part';
import { onMainWall, setMayCover } from '../room/roomThings';
import { leaf } from '../primitives/working';
import { screwFindings } from './screwFindings';
import { spacerNeed } from './spacerNeed';
import { stackScrews } from './stackScrews';

interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

export interface ScrewPart extends Part<Pick<Plan['screen'], 'screws' | 'screwCheck'>> {
  /** The chosen stack's spacer, or the least that is asked for while no stack is known. */
  spacer?: Working;
}

/** The screws of a job for what its set covers where it hangs; nothing without a mount, whose bracket they hold. */
export function screwPart(job: Job, set: Box | undefined): ScrewPart {
  const { mount, screen } = job;
  if (!mount) return { findings: [] };
  const need = spacerNeed(screen, mount, set ? behindSet(job, set) : []);
  const stacking = stackScrews(screen, mount, need);
  const wanted = job.choices?.stack;
  const findings = screwFindings(screen, mount, stacking, wanted);
  if (!stacking) return { findings };
  const { stacks, check } = stacking;
  const chosen = stacks.find((s) => s.id === wanted) ?? stacks[0];
  const spacer = chosen?.spacer ?? need?.least ?? 0;
  return {
    section: {
      ...(stacks.length > 0 ? { screws: stacks } : {}),
      screwCheck: { ...check, ...(chosen ? { chosen: chosen.id } : {}) },
    },
    ...(spacer > 0 ? { spacer: leaf('spacer', spacer, 'mm', { path: 'mount.bag.spacers' }) } : {}),
    findings,
  };
}

/** Things that the set hangs in front of and that stand out from the wall. */
const behindSet = (job: Job, set: Box): Item[] =>
  onMainWall(job.room.objects).filter(
    (i) => setMayCover(i) && i.left < set.right && set.left < i.right && i.bottom < set.top && set.bottom < i.top,
  );
