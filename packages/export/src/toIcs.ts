import { createEvent } from 'ics';
import type { Job, Plan } from '@steddo/contract';
import { packText, setLine, wordingFor } from '@steddo/text';
import { NotMade, type Exported } from './roomAndPlan';

/** A visit whose day nobody can work out yet takes so long, minutes. Ours. */
const USUAL_MINUTES = 60;

/** The visit for a calendar: when, how long the day's steps take, and what to bring. `stamp` is when it was written. */
export function toIcs({ job, plan }: Exported, stamp: Date): string {
  const start = job.visit?.start;
  if (start === undefined) throw new NotMade('there is no visit: say when somebody comes (visit.start)');
  const [date = '', time = ''] = start.split('T');
  const [year = 0, month = 0, day = 0] = date.split('-').map(Number);
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  const minutes = plan.day && plan.day.minutes > 0 ? Math.round(plan.day.minutes) : USUAL_MINUTES;
  const { error, value } = createEvent({
    uid: `${slug(job.title)}-${date}@steddo`,
    productId: 'steddo',
    title: job.title,
    start: [year, month, day, hour, minute],
    startInputType: 'local',
    startOutputType: 'local',
    duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
    description: linesFor(job, plan).join('\n'),
  });
  if (error || !value) throw new NotMade(`the visit cannot be written: ${error?.message ?? 'unknown'}`);
  return value.replace(/DTSTAMP:\w+/, `DTSTAMP:${stamp.toISOString().replace(/[-:]|\.\d+/g, '')}`);
}

function linesFor(job: Job, plan: Plan): string[] {
  const say = wordingFor(job);
  const pack = (plan.day?.pack ?? []).map((p) => `- ${packText(p, say)}`);
  const people = plan.day?.people ?? 1;
  return [
    setLine(job, say),
    people > 1 ? 'Two people.' : 'One person.',
    ...(pack.length > 0 ? ['To bring:', ...pack] : []),
  ];
}

const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'room';
