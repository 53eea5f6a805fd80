import type { Hole, Job, Mark, Plan, Working } from '@steddo/contract';
import { leaf } from '@steddo/core';
import type { BuiltStage } from './stages';

/** One of the three numbers that matter now. */
export interface BarNumber {
  label: string;
  working?: Working;
  /** Shown without a sign, with this word after it. */
  after?: string;
  as?: 'small';
}

/** Which side of the centre line a distance is on. */
export const sideWord = (mm: number): string | undefined => (mm === 0 ? undefined : mm < 0 ? 'left' : 'right');

/** The three numbers of a stage; one without a working is not known yet. */
export function barNumbers(stage: BuiltStage, job: Job, plan: Plan): BarNumber[] {
  const mark = (id: string): Mark | undefined => plan.marks?.find((m) => m.id === id);
  const up = (id: string, label: string): BarNumber => ({
    label,
    working: mark(id)?.workings.fromFloor,
  });
  switch (stage) {
    case 'set':
      return [
        { label: 'width', working: plan.screen.workings?.width },
        { label: 'height', working: plan.screen.workings?.height },
        { label: 'mass', working: leaf('set-mass', job.screen.mass, 'kg', { path: 'screen.mass' }) },
      ];
    case 'wall':
      return [
        { label: 'plate, from left', working: mark('plate-bottom')?.workings.fromLeft },
        fromCentre('plate, off centre', mark('plate-bottom')),
        up('hook', 'hook'),
      ];
    case 'holes':
      return holeNumbers(nextHole(plan), plan);
    case 'level':
      return levelNumbers(plan);
    default:
      return [up('bottom', 'bottom'), up('centre', 'centre'), up('hook', 'hook')];
  }
}

export const nextHole = (plan: Plan): Hole | undefined => plan.holes?.find((h) => !h.done) ?? plan.holes?.[0];

function fromCentre(label: string, mark: Mark | undefined): BarNumber {
  const working = mark?.workings.fromCentre;
  const after = working && sideWord(working.value);
  return { label, working, ...(after ? { after } : {}) };
}

function holeNumbers(hole: Hole | undefined, plan: Plan): BarNumber[] {
  const mark = plan.marks?.find((m) => m.id === hole?.id);
  const name = hole ? `hole ${hole.order}` : 'hole';
  return [
    { label: `${name}, up`, working: mark?.workings.fromFloor },
    fromCentre('off centre', mark),
    { label: 'from left', working: mark?.workings.fromLeft },
  ];
}

function levelNumbers(plan: Plan): BarNumber[] {
  const group = plan.level?.groups.at(-1);
  const best = plan.level?.corrections.find((c) => c.kind !== 'roll');
  return [
    { label: 'slope', working: group?.working },
    { label: best ? `raise ${best.where}` : 'raise', working: best?.working, as: 'small' },
    { label: "level's own error", working: group?.errorWorking },
  ];
}
