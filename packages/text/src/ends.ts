import type { DayPlan, HangPlan, Job, LeadPlan, Packed, Plan, TolerancePlan, ToleranceSource } from '@steddo/contract';
import { dayStepText } from './steps';
import { capital, rounded, type Wording } from './wording';
import { bitText, screwSize } from './bits';
import { fixingName, partText } from './holds';

/** Words for the ends of a job: leads, gaps, what to pack, how sure it is, what stays open. */

const ROUTES: Record<LeadPlan['route'], string> = {
  behind: 'behind the set',
  arm: 'along the arm',
  trunking: 'in trunking',
  'rated-kit': 'through a kit rated for in-wall use',
};
export const routeName = (route: LeadPlan['route']): string => ROUTES[route];

const WHENS: Record<LeadPlan['when'], string> = {
  before: 'in before hanging',
  hooked: 'plugged in while it is hooked',
  after: 'plugged in after hanging',
};
export const whenName = (when: LeadPlan['when']): string => WHENS[when];

/** `along the arm, plugged in after hanging`; what comes later is said. */
export const leadLine = ({ route, when, later }: Pick<LeadPlan, 'route' | 'when' | 'later'>): string =>
  [ROUTES[route], later ? 'its lead goes in now, what it is for comes later' : WHENS[when]].join(', ');

/** `72 in to spare`, `3 in short`; needed while nobody has said how long it is. */
export function slackText({ needed, slack }: LeadPlan, say: Wording): string {
  if (slack === undefined) return `at least ${say.length(needed)}`;
  return slack < 0 ? `${say.length(-slack)} short` : `${say.length(slack)} to spare`;
}

/** `slide 20 mm to the right`. */
export function slideText({ slide = 0, fits }: HangPlan, say: Wording): string {
  if (Math.abs(slide) < 0.5) return 'centred: nothing to slide';
  const way = `slide ${say.length(Math.abs(slide))} to the ${slide > 0 ? 'right' : 'left'}`;
  return fits ? way : `${way}: more than the mount slides`;
}

/** One line of the pack list. */
export function packText(item: Packed, say: Wording): string {
  const { what, kind, count, spare, length, diameter, thickness, height, from } = item;
  const more = spare > 0 ? `, and ${spare} to spare` : '';
  switch (what) {
    case 'tool':
      return kind;
    case 'lead':
      return `${kind} lead, ${say.length(length ?? 0)} or longer`;
    case 'trunking':
      return `trunking for the ${kind} lead, ${say.length(length ?? 0)}, with two caps`;
    case 'screw':
      return `${count} screws ${kind} x ${rounded(length ?? 0, 0)} for the set${more}`;
    case 'spacer':
      return `${count} spacers of ${rounded(length ?? 0, 0)} mm`;
    case 'fixing':
    case 'washer':
    case 'bit':
    case 'depth-flag':
    case 'probe-bit':
    case 'packing':
    case 'timber':
      return partText(
        {
          what,
          kind,
          count,
          spare,
          from,
          ...(diameter === undefined ? {} : { diameter }),
          ...(length === undefined ? {} : { length }),
          ...(thickness === undefined ? {} : { thickness }),
          ...(height === undefined ? {} : { height }),
        },
        say,
      );
  }
}

const SOURCES: Record<ToleranceSource, { name: string; do: string }> = {
  tape: { name: 'the tape', do: 'measure from one end, and twice' },
  reading: { name: 'the measures of set and mount', do: 'stage the plate on the set and read the one number' },
  mark: { name: 'the pencil marks', do: 'mark with a point, through the slot' },
  drill: { name: 'the drill', do: 'start with a thin bit, in a centre punch’s dimple' },
  level: { name: 'the level', do: 'a longer level, turned end for end' },
  finder: { name: 'where the studs are', do: 'poke an edge once more' },
  print: { name: 'the print of the template', do: 'measure its own scale line' },
};
export const sourceName = (id: ToleranceSource): string => SOURCES[id].name;

const inHundred = (p: number): string => String(Math.floor(p * 100));

/** What matters most, and what to do about it: "poke the left stud's edge once more: 88 → 97 in 100". */
export function toleranceAdvice(t: TolerancePlan, say: Wording): string | undefined {
  if (t.poke)
    return `Poke near ${say.length(t.poke.x)} from the left once more, to that stud’s edge: ${inHundred(t.allLand)} → ${inHundred(t.poke.allLand)} in 100.`;
  const best = [...t.sources].sort((a, b) => b.allLand - a.allLand)[0];
  if (best && best.allLand - t.allLand >= 0.01)
    return `${capital(SOURCES[best.id].name)} matters most: ${SOURCES[best.id].do}; without its error ${inHundred(best.allLand)} in 100.`;
  const level = [...t.sources].sort((a, b) => a.over3 - b.over3)[0];
  if (level && t.over3 - level.over3 >= 0.01)
    return `For the level ${SOURCES[level.id].name} matters most: ${SOURCES[level.id].do}; without its error ${inHundred(1 - level.over3)} in 100 stay within 3 mm.`;
  return undefined;
}

/** The pose of the seat that counts most: how far out, turned and tilted; of a mount that only tilts its tilt. */
export function poseLine({ room }: Job, { reach, placement }: Plan, say: Wording): string | undefined {
  const tilt = (deg: number) =>
    Math.abs(deg) < 0.5 ? 'upright' : `tilted ${say.degrees(Math.abs(deg))} ${deg > 0 ? 'down' : 'up'}`;
  const weightOf = (id: string) => room.viewers?.find((v) => v.id === id)?.weight ?? 1;
  const seat = [...(reach?.seats ?? [])].sort((a, b) => weightOf(b.viewer) - weightOf(a.viewer))[0];
  if (!seat) return placement?.tiltNeeded === undefined ? undefined : `${capital(tilt(placement.tiltNeeded))}.`;
  const turned =
    Math.abs(seat.yaw) < 0.5
      ? 'straight'
      : `turned ${say.degrees(Math.abs(seat.yaw))} ${seat.yaw > 0 ? 'right' : 'left'}`;
  return `For ${say.thing(seat.viewer)}: ${say.length(seat.extension)} out, ${turned}, ${tilt(seat.tilt)}.`;
}

/** What stays open, a line each. */
export function openText(point: DayPlan['open'][number]): string {
  switch (point.what) {
    case 'step':
      return `${dayStepText(point.id).name}: ${point.text}`;
    case 'lead':
      return `What the ${point.text} lead is for comes later.`;
    case 'note':
      return point.text;
  }
}

/** What a customer keeps to. */
export function careLines({ mount }: Job, plan: Plan, say: Wording): string[] {
  if (!mount) return [];
  const { loads, reach, vehicle } = plan;
  const far = loads?.maxAside?.go;
  return [
    ...(reach ? [`Fold the arm flat ${vehicle ? 'for travel and ' : ''}when nobody watches.`] : []),
    'Do not lean on the set, and let no child hang from it.',
    ...(far === undefined ? [] : [`Swing it no further than ${say.length(far)} to either side of its screws.`]),
    ...(mount.latch === 'cord' || mount.latch === 'strap'
      ? ['To take it down: pull both cords, swing the bottom out, lift. Two people.']
      : []),
    'Nothing else is hung from the mount.',
  ];
}

/** What stays with the customer. */
export const leftWith = ({ mount }: Job): string[] => [
  'the stand of the set',
  ...(mount?.tools?.length ? [`keys: ${mount.tools.join(', ')}`] : ['the keys of the mount']),
  'spare screws and washers',
  'the leaflets of set and mount',
];

/** What holds it, as drilled: `4 lag screws 7.9 x 64 mm into studs`. */
export function holdLine({ holes = [] }: Plan, say: Wording): string | undefined {
  const [first] = holes;
  if (!first) return undefined;
  const { kind, diameter, length } = first.fixing;
  return `${holes.length} ${fixingName(kind)}${holes.length === 1 ? '' : 's'} ${screwSize(diameter, length, say)}, bit ${bitText(first.bit, say)}`;
}
