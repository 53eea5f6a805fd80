import type { Correction, Hole, Job, Mark, Plan, Working } from '@steddo/contract';
import { leaf, stagedNumber } from '@steddo/core';
import { measuredName } from '@steddo/text';

/** One of the three numbers that matter now. */
export interface BarNumber {
  label: string;
  working?: Working;
  /** Shown without a sign, with this word after it. */
  after?: string;
  as?: 'small' | 'utilisation';
}

/** Which side of the centre line a distance is on. */
export const sideWord = (mm: number): string | undefined => (mm === 0 ? undefined : mm < 0 ? 'left' : 'right');

const markOf = (plan: Plan, id: string): Mark | undefined => plan.marks?.find((m) => m.id === id);

const upTo = (plan: Plan, id: string, label: string): BarNumber => ({
  label,
  working: markOf(plan, id)?.workings.fromFloor,
});

/** Of the set by itself. */
export const setNumbers = (job: Job, plan: Plan): BarNumber[] => [
  { label: 'width', working: plan.screen.workings?.width },
  { label: 'height', working: plan.screen.workings?.height },
  { label: 'mass', working: leaf('set-mass', job.screen.mass, 'kg', { path: 'screen.mass' }) },
];

/** Where the set hangs; one without a working is not known yet. */
export const heightNumbers = (_: Job, plan: Plan): BarNumber[] => [
  upTo(plan, 'bottom', 'bottom'),
  upTo(plan, 'centre', 'centre'),
  upTo(plan, 'hook', 'hook'),
];

/** Where its plate is looked for wood. */
export const wallNumbers = (_: Job, plan: Plan): BarNumber[] => [
  { label: 'plate, from left', working: markOf(plan, 'plate-bottom')?.workings.fromLeft },
  fromCentre('plate, off centre', markOf(plan, 'plate-bottom')),
  upTo(plan, 'hook', 'hook'),
];

export const nextHole = (plan: Plan): Hole | undefined => plan.holes?.find((h) => !h.done) ?? plan.holes?.[0];

function fromCentre(label: string, mark: Mark | undefined): BarNumber {
  const working = mark?.workings.fromCentre;
  const after = working && sideWord(working.value);
  return { label, working, ...(after ? { after } : {}) };
}

/** The hole to be drilled next. */
export function holeNumbers(_: Job, plan: Plan): BarNumber[] {
  const hole = nextHole(plan);
  const mark = plan.marks?.find((m) => m.id === hole?.id);
  const name = hole ? `hole ${hole.order}` : 'hole';
  return [
    { label: `${name}, up`, working: mark?.workings.fromFloor },
    fromCentre('off centre', mark),
    { label: 'from left', working: mark?.workings.fromLeft },
  ];
}

/** What is read on the staged set, and where that puts the holes. */
export function fitNumbers(job: Job, plan: Plan): BarNumber[] {
  const one = stagedNumber(job, plan);
  const hole = nextHole(plan);
  const mark = plan.marks?.find((m) => m.id === hole?.id);
  return [
    { label: one ? `${one.from} to ${measuredName(one.to)}` : 'bottom to the holes', working: one?.working },
    upTo(plan, 'bottom', 'bottom'),
    hole ? { label: `hole ${hole.order}, up`, working: mark?.workings.fromFloor } : upTo(plan, 'hook', 'hook'),
  ];
}

/** How heavy the lift is, and how far the set goes sideways. */
export const hangNumbers = (_: Job, plan: Plan): BarNumber[] => {
  const slide = plan.hang?.workings.slide;
  return [
    { label: 'to lift', working: plan.lift?.workings.mass },
    {
      label: plan.lift?.people === 2 ? 'share of two' : 'share of one',
      working: plan.lift?.workings.index,
      as: 'utilisation',
    },
    { label: 'slide', working: slide, ...(slide && sideWord(slide.value) ? { after: sideWord(slide.value)! } : {}) },
  ];
};

/** How far off level, and what to do about it. */
export function levelNumbers(_: Job, plan: Plan): BarNumber[] {
  const group = plan.level?.groups.at(-1);
  const list = plan.level?.corrections ?? [];
  const best = list.find((c) => c.fits) ?? list[0];
  return [
    { label: 'slope', working: group?.working },
    best ? correctionNumber(best) : { label: 'raise' },
    { label: "level's own error", working: group?.errorWorking },
  ];
}

/** The first correction that serves, in its own unit. */
function correctionNumber({ kind, unit, where, working }: Correction): BarNumber {
  if (unit === 'turn') return { label: `turns, ${where}`, working };
  if (unit === 'deg') return { label: `roll, ${where} up`, working };
  return { label: `${kind === 'drop' ? 'lower' : 'raise'} ${where}`, working, as: 'small' };
}
