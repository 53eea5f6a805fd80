import type { Job, Plan } from '@steddo/contract';
import { cornerPlace } from '../corner/cornerPlace';
import { mountInCorner } from '../corner/mountInCorner';
import { armHeld } from './armHeld';
import { armFindings, rackFindings, thingFindings, undrawnFinding } from './cornerFindings';
import type { CornerInput, Held } from './cornerInput';
import { cornerSections, type CornerMade } from './cornerSections';
import { stancesOn } from './footStances';
import { gapToWood } from './gapToWood';
import { rackHeld } from './rackHeld';

/**
 * Everything about a set in a corner: where it stands, what carries it on either wall, and what is known of the other wall;
 * with a way out where a foot of a rack is not held.
 */
export function cornerPart(input: CornerInput): CornerMade & Pick<Plan, 'remedies'> {
  const { made, unheld } = asItStands(input);
  const remedies = unheld && input.ways ? gapRemedy(unheld) : [];
  return remedies.length > 0 ? { ...made, remedies } : made;
}

/** The corner as it is asked for; and what hangs there where a foot is not held. */
function asItStands(input: CornerInput): { made: CornerMade; unheld?: Held } {
  const { job, frame } = input;
  const place = cornerPlace(job, frame.width);
  const { mount } = job;
  const by = mount ? mountInCorner(job, mount, place, frame.spacer) : undefined;
  const things = thingFindings(job, place, input.spot, frame);
  if (!mount || !by || by.by === 'unknown') {
    const undrawn = mount ? [undrawnFinding()] : [];
    return { made: cornerSections(input, { place, findings: [...things, ...undrawn] }) };
  }
  const held: Held = { ...input, mount, place, things };
  if (by.by === 'rack') {
    const { feet } = by;
    const refused = rackFindings(job, mount, feet, place);
    if (refused.length > 0) return { made: cornerSections(input, { place, feet, findings: [...refused, ...things] }) };
    const { walls, stops } = rackHeld({ ...held, feet, stances: stancesOn(job, mount, feet, place) });
    return { made: cornerSections(input, walls), ...(stops > 0 ? { unheld: held } : {}) };
  }
  const refused = armFindings(job, mount, by, place);
  const said = [...refused, ...things];
  if (refused.some((f) => f.level === 'stop'))
    return { made: cornerSections(input, { place, arm: by, findings: said }) };
  return { made: cornerSections(input, armHeld({ ...held, arm: by, things: said })) };
}

/** Pulled out a little the feet move along their walls: to where both come over studs, if that holds. */
function gapRemedy(held: Held): NonNullable<Plan['remedies']> {
  const { job, frame, mount, place, main, side } = held;
  const walls = place.main === 'right' ? { right: main, left: side } : { right: side, left: main };
  const asked = { job, mount, width: frame.width, spacer: frame.spacer, walls };
  let tries = 0;
  for (const { gap, turn } of gapToWood(asked)) {
    if (++tries > MOST_TRIES) break;
    const there: Job = { ...job, choices: { ...job.choices, cornerGap: gap, ...(turn ? { cornerTurn: turn } : {}) } };
    const { loads, findings } = asItStands({ ...held, job: there }).made;
    if (!loads || loads.worst > 1 || findings.some((f) => f.level === 'stop')) continue;
    const turned = turn === (job.choices?.cornerTurn ?? 0) ? {} : { turn };
    return [{ kind: 'corner-gap', by: gap, ...turned, result: { utilisation: loads.worst, verdict: 'go' } }];
  }
  return [];
}

/** Ways to stand are tried with everything that holds them so often. */
const MOST_TRIES = 8;
