import type { Job, LeadPlan, Mount } from '@steddo/contract';
import { moves } from './arm';

type Lead = NonNullable<Job['leads']>[number];

/** What is known of a lead whether or not anybody knows where it ends. */
export type LeadWay = Pick<LeadPlan, 'what' | 'route' | 'when' | 'later'>;

/** Which way a lead goes and when it is plugged in: along an arm and after the hanging, else behind the set and while it is hooked. */
export function leadWay(lead: Lead, mount: Mount | undefined): LeadWay {
  const onArm = mount !== undefined && moves(mount);
  return {
    what: lead.what,
    route: lead.route ?? (onArm ? 'arm' : 'behind'),
    when: lead.when ?? (onArm ? 'after' : 'hooked'),
    later: lead.later ?? false,
  };
}
