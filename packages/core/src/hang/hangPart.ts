import type { Finding, HangPlan, Job, Placement, Working } from '@steddo/contract';
import { jointOf } from '../arm/joints';
import { SAME_MM } from '../primitives/epsilons';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { half, leaf, minus } from '../primitives/working';
import { liftRoom, riseOf } from '../placement/liftOnFindings';
import { isStepDone } from './doneSteps';
import { stepsFor, type StepContext } from './stepTable';
import { asideOf } from '../arm/arm';

/** Steps that belong to the hanging: leads, the lift, and what follows until the set is on. */
const ofHanging = (id: string): boolean => id.startsWith('hang.') || id.startsWith('leads.');

/**
 * How the set comes onto its mount: the steps of its joint, the room to lift it over the rail, and how far it is slid
 * by the gaps measured left and right. 600 and 640: 20 to the right.
 */
export function hangPart(context: StepContext, placement: Placement): Part<HangPlan> {
  const { job, mount } = context;
  const slide = slideOf(job, placement);
  const room = liftRoom(job, placement);
  const fits = slide && Math.abs(slide.value) <= asideOf(mount) + SAME_MM;
  const section: HangPlan = {
    ...(slide ? { slide: slide.value, fits: fits! } : {}),
    rise: riseOf(job),
    ...(room === undefined ? {} : { room }),
    joint: jointOf(mount),
    steps: stepsFor(context)
      .filter(ofHanging)
      .map((id) => ({ id, done: isStepDone(id, context) })),
    workings: slide ? { slide } : {},
  };
  return { section, findings: slide && !fits ? [beyond(slide, asideOf(mount))] : [] };
}

const beyond = (slide: Working, slideMm: number | undefined): Finding =>
  finding('slide-beyond', 'caution', 'hang', { slideMm: slide.value, haveMm: slideMm ?? -1 });

/**
 * Half the difference of the gaps, towards the larger one; where the set is not to hang midway between the ends, less
 * what the gaps are meant to differ by.
 */
function slideOf(job: Job, { left, right }: Placement): Working | undefined {
  const gaps = job.hang?.gaps;
  if (gaps?.left === undefined || gaps.right === undefined) return undefined;
  const differ = minus(
    'gaps-differ',
    leaf('gap-right', gaps.right, 'mm', { path: 'hang.gaps.right' }),
    leaf('gap-left', gaps.left, 'mm', { path: 'hang.gaps.left' }),
  );
  const { on } = job.aim.centre;
  const midway = (on === 'wall' || on === 'between') && job.choices?.centreX === undefined;
  if (midway) return half('slide-by', differ);
  const wanted = leaf('gaps-wanted', job.room.wall.width - right - left, 'mm');
  return half('slide-by', minus('gaps-off', differ, wanted));
}
