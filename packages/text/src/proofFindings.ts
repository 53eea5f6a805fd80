import type { Obligation, ObligationId, Unit } from '@steddo/contract';
import type { FindingCode, FindingValues } from '@steddo/core';
import { buildName, holeList, markName } from './names';
import { fieldName } from './paths';
import { fixingName } from './holds';
import { capital, type Wording } from './wording';

type Sentences<C extends FindingCode> = { [K in C]: (v: FindingValues[K], say: Wording) => string };

/** What each check is about, as the list on the Holes page has it. */
export const CHECKS: Record<ObligationId, string> = {
  'holes-there': 'Holes for every plate',
  count: 'Number of fasteners',
  'on-wall': 'On the wall',
  'free-edge': 'Distance from free edges',
  'clear-of-things': 'Clear of things in the wall',
  'clear-of-hazards': 'Clear of cables and pipes',
  'in-slot': 'Inside the slots',
  sum: 'Heights add up',
  meets: 'Chance of meeting wood or masonry',
  looked: 'Checked behind the wall',
  balance: 'Forces in balance',
  allowables: 'Limits of each fastener',
  carries: 'Load within the limits',
  bites: 'Bite of each fastener',
  mount: 'Within the mount’s label',
  screw: 'Screws into the TV',
  'lift-on': 'Room to lift the TV on',
  guesses: 'Guesses named',
  numbers: 'Numbers and how they were worked out',
};

/** What an obligation is of: a hole, a mark, or a field. */
function subjectText(of: string, say: Wording): string {
  if (/^[hs]\d+$/.test(of)) return holeList([of]).replace('Hole', 'hole');
  if (of === 'plate' || of === 'set') return of === 'set' ? 'the TV' : 'the wall plate';
  return of.includes('.') ? fieldName(of, say) : markName(of);
}

/** The two numbers of a check in the job's own units; a yes or no has none. */
export function checkNumbers(
  { needed, found, unit }: Pick<Obligation, 'needed' | 'found' | 'unit'>,
  say: Wording,
): string {
  if (unit === 'count' && needed === 1) return '';
  return `${say.value(found, unit)} found, the limit is ${say.value(needed, unit)}`;
}

function notProvedText(
  { obligation, subject, needed, found, unit }: FindingValues['not-proved'],
  say: Wording,
): string {
  const numbers = checkNumbers({ needed, found, unit: unit as Unit }, say);
  const what = CHECKS[obligation as ObligationId] ?? obligation;
  return `Not proved: ${what.charAt(0).toLowerCase()}${what.slice(1)}, ${subjectText(subject, say)}${numbers ? `: ${numbers}` : ''}. Don’t drill.`;
}

const KEPT = (kg: number, say: Wording) => say.mass(kg);

/** Sentences about what proves a plan, and what keeps it from being proved. */
export const PROOF_SENTENCES = {
  'not-proved': notProvedText,
  'fixing-unknown': (v, say) =>
    `The mount lists a ${buildName(v.kind)} without its screws. Enter ${new Intl.ListFormat('en-US').format(v.fields.map((f) => fieldName(f, say)))}.`,
  'fixing-from-kit': (v) =>
    `The mount’s label gives no ${fixingName(v.kind)} for this wall. ${holeList(v.holes)} use yours. Check the instructions.`,
  'fewer-fasteners': (v) =>
    `The instructions ask for ${v.needed} fasteners; the rows you measured take ${v.found}. Measure the other rows.`,
  'plate-off-wall': (v, say) =>
    `The wall plate runs ${say.length(v.byMm)} past the wall’s ${v.end} end. Move the TV to the ${v.end === 'left' ? 'right' : 'left'}.`,
  'thing-at-holes': (v, say) =>
    `${capital(new Intl.ListFormat('en-US').format(v.objects.map((o) => say.thing(o))))} is where the holes would go. Move the TV.`,
  'free-edge-near': (v, say) =>
    `Every hole is too near a free edge of the masonry, or in its top course. Keep ${say.length(v.leastMm)} off.`,
  'trace-the-sheet': (v) =>
    v.lacking === 'thickness'
      ? 'There’s a sheet of wood behind the drywall. Enter its thickness before you drill.'
      : `Wood closer than studs are set: a sheet behind the drywall (${v.percent}% sure). Mark its four edges before you drill.`,
  'near-edge': (v, say) =>
    `${holeList(v.holes)}: the pilot met wood; how near the stud’s edge isn’t known. Probe ${say.length(v.probeMm)} to either side.`,
  'steel-on-toggles': (v, say) =>
    `The mount’s label doesn’t name metal studs. ${KEPT(v.massKg, say)} on toggles, ${KEPT(v.limitKg, say)} at most${v.percent < 0 ? '' : `: ${v.percent}% of limit`}. Your judgment.`,
  'steel-refused': (v, say) =>
    v.moves
      ? 'The mount’s label doesn’t name metal studs, and an arm works loose in them. Use a mount made for metal studs.'
      : `The mount’s label doesn’t name metal studs, and ${KEPT(v.massKg, say)} is more than ${KEPT(v.limitKg, say)}. Use a mount made for metal studs.`,
  'joints-cleared': (v, say) =>
    `The TV hangs ${say.length(Math.abs(v.toMm - v.fromMm))} ${v.toMm > v.fromMm ? 'higher' : 'lower'}, at ${say.length(v.toMm)} instead of ${say.length(v.fromMm)}, so that no hole meets a joint.`,
} satisfies Partial<Sentences<FindingCode>>;
