import type { Finding } from '@steddo/contract';

/** What one part makes of a plan: its section (absent where the job gives nothing for it) and what there is to say. */
export interface Part<S> {
  section?: S | undefined;
  findings: Finding[];
}
