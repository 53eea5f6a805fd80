import type { DayStep, Job, LeadPlan, Packed, Part, Plan } from '@steddo/contract';

/** Screws that hold a bracket to a set. */
const SET_SCREWS = 4;
/** One may fall behind the skirting; of what comes in the mount's bag there is no more. */
const SCREWS_SPARE = 1;

type Item = Omit<Packed, 'id' | 'done'>;

export interface PackInput {
  job: Job;
  steps: readonly DayStep[];
  /** What the holes need. */
  parts: readonly Part[];
  screen: Plan['screen'];
  leads: readonly LeadPlan[];
}

/** What has to be in the van: parts with their spares, bits, leads, and every tool of the steps once; ticked when packed. */
export function packList({ job, steps, parts, screen, leads }: PackInput): Packed[] {
  const open = steps.filter((s) => !s.done);
  const tools = [...new Set(open.flatMap((s) => s.tools))];
  const drilled = open.some((s) => s.id === 'wall.holes');
  const items: Item[] = [
    ...(drilled ? parts.map(ofPart) : []),
    ...setScrews(screen),
    ...leads.flatMap(ofLead),
    ...tools.map((kind): Item => ({ what: 'tool', kind, count: 1, spare: 0, from: 'kit' })),
  ];
  const ticked = new Set((job.ticks ?? []).map((t) => t.step));
  return items.map((item) => {
    const id = packId(item) as Packed['id'];
    return { id, ...item, done: ticked.has(id) };
  });
}

const ofPart = ({ what, kind, count, spare, diameter, length, thickness, height, from }: Part): Item => ({
  what,
  kind,
  count,
  spare,
  ...(diameter === undefined ? {} : { diameter }),
  ...(length === undefined ? {} : { length }),
  ...(thickness === undefined ? {} : { thickness }),
  ...(height === undefined ? {} : { height }),
  from,
});

/** The chosen screws with their spacers; where the bag has none, what to buy. */
function setScrews({ screws = [], screwCheck }: Plan['screen']): Item[] {
  const chosen = screws.find((s) => s.id === screwCheck?.chosen);
  const four = { count: SET_SCREWS, spare: SCREWS_SPARE };
  if (chosen)
    return [
      { what: 'screw', kind: chosen.thread, ...four, length: chosen.length, from: 'mount' },
      ...(chosen.spacer > 0
        ? [
            {
              what: 'spacer' as const,
              kind: 'spacer',
              count: SET_SCREWS,
              spare: 0,
              length: chosen.spacer,
              from: 'mount' as const,
            },
          ]
        : []),
    ];
  const buy = screwCheck?.buy;
  if (!buy) return [];
  return [{ what: 'screw', kind: buy.thread, ...four, length: buy.length ?? buy.from, from: 'get' }];
}

function ofLead({ what, needed, length, cut, later }: LeadPlan): Item[] {
  if (later && length === undefined) return [];
  const long = Math.max(needed, length ?? 0);
  return [
    { what: 'lead', kind: what, count: 1, spare: 0, length: long, from: length === undefined ? 'get' : 'kit' },
    ...(cut === undefined
      ? []
      : [{ what: 'trunking' as const, kind: what, count: 1, spare: 0, length: cut, from: 'get' as const }]),
  ];
}

/** The same thing has the same name whenever the plan is made. */
function packId({ what, kind, diameter, thickness, height, length }: Item): string {
  const size = [diameter, thickness, height, length].flatMap((mm) =>
    mm === undefined ? [] : [String(Math.round(mm * 10) / 10)],
  );
  return ['pack', [what, kind, ...size].join('-').replace(/\s+/g, '-')].join('.');
}
