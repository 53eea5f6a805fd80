import type { Job, Plan } from '@steddo/contract';
import { holeName } from './names';
import type { Wording } from './wording';

/** What a picture is of, in words: the room, a hole by its place, a look, or what is not there any more. */
export function pictureOf(of: string, { job, plan }: { job: Job; plan: Plan }, say: Wording): string {
  if (of === 'room') return 'the room';
  const holes = plan.holes ?? [];
  const hole = holes.find((h) => h.id === of);
  if (hole) return holeName(hole, holes);
  const look = job.looks?.find((k) => k.id === of);
  if (look) return `the look at ${say.length(look.x)}, ${say.length(look.y)} up`;
  return (job.drilled ?? []).some((d) => d.hole === of)
    ? `hole ${of}, as it was drilled`
    : 'what is not there any more';
}
