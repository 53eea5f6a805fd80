import { z } from 'zod';

/** Those of a box that is let into the wall, in their order. */
export const BOX_STEP_IDS = [
  'box.first-cut',
  'box.look',
  'box.power',
  'box.faces',
  'box.outline',
  'box.saw',
  'box.trim',
  'box.wiring',
  'box.push-in',
  'box.test',
] as const;

/** The steps of a day at one wall, in the order of the work; a job has those that it needs. */
export const STEP_IDS = [
  // before the set is touched
  'vehicle.level',
  'site.wiring',
  // on the set
  'fit.box',
  'fit.stand',
  'fit.screws-out',
  'fit.extensions',
  'fit.arms',
  'fit.snug',
  'fit.device',
  'fit.stage',
  'fit.cords',
  // on the wall
  'wall.look',
  'vehicle.backing',
  ...BOX_STEP_IDS,
  'wall.mantel',
  'wall.timber',
  'wall.holes',
  'wall.rack',
  'wall.level',
  'vehicle.seal',
  'wall.pull',
  // the set onto the wall
  'leads.before',
  'hang.live',
  'hang.check',
  'hang.lift',
  'hang.hooks',
  'hang.catch',
  'hang.slide-in',
  'hang.rejoin',
  'leads.hooked',
  'hang.click',
  'hang.prove',
  'leads.after',
  'hang.centre',
  'hang.level',
  'hang.lock',
  'hang.cords',
  'hang.pose',
  'hang.on',
  // the end
  'over.clean',
  'over.travel',
  'over.show',
  'over.leave',
] as const;

export const stepId = z.enum(STEP_IDS);

export const boxStepId = z.enum(BOX_STEP_IDS);

const TICKED = new RegExp(`^(?:${STEP_IDS.map((id) => id.replace('.', '\\.')).join('|')}|pack\\.\\S{1,120})$`);

/** What is ticked: a step, or something of the pack list, whose names follow from the plan. */
export const tickId = z.string().regex(TICKED, 'is no step of a plan') as unknown as z.ZodType<TickId, TickId>;

export const who = z.enum(['one', 'two', 'electrician']);

export type StepId = z.infer<typeof stepId>;
export type BoxStepId = z.infer<typeof boxStepId>;
export type TickId = StepId | `pack.${string}`;
export type Who = z.infer<typeof who>;
