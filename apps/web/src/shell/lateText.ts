import { planStepName } from '@steddo/text';
import type { Late } from '../state/planner';

/** Why what is shown is of an earlier state of the room. */
export function lateText(late: Late): string {
  switch (late.why) {
    case 'working':
      return 'What is shown is the last that could be worked out: this room takes longer than others.';
    case 'long':
      return `What is shown is the last that could be worked out: two seconds were not enough for the room as it is now. It was busy with ${planStepName(late.step)}.`;
    case 'failed':
      return 'What is shown is the last that could be worked out: the room as it is now cannot be.';
  }
}
