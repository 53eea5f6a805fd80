import type { BoxNeed, BoxStepId, RecessPlan } from '@steddo/contract';
import { HOLE_CAUTION, HOLE_GO } from '../wall/holeVerdict';
import { flueFindings, inTheWay, KNOWN_WOOD, noggingIn, sureOf, type BoxKnown } from './boxFindings';
import type { WallBox } from '../wall/hazardZones';
import { isTicked } from './ticked';

type Steps = RecessPlan['steps'];

/** The first opening, and that it meets no wood. */
export interface FirstCut {
  box: WallBox;
  chance: number;
}

/**
 * The order of the work at a box, with what is still lacking before each step: while there is anything it is not done.
 * Nothing covers a wrong saw cut, nor what was closed before it was wired.
 */
export function boxSteps(known: BoxKnown, first: FirstCut): Steps {
  const done = doneOf(known);
  const lacking = lackingOf(known, first, done);
  const step = (id: BoxStepId, needs: readonly (BoxNeed | undefined)[], noReturn = false): Steps[number] => ({
    id,
    needs: needs.filter((n) => n !== undefined),
    noReturn,
    done: done(id),
  });
  const { before, place } = lacking;
  return [
    step('box.first-cut', [lacking.studs, lacking.firstHazard]),
    step('box.look', [before('first-cut')]),
    step('box.power', []),
    step('box.faces', [before('first-cut')]),
    step('box.outline', [lacking.look, place, lacking.nogging, lacking.depth]),
    step(
      'box.saw',
      [
        before('first-cut'),
        ...[lacking.look, lacking.hazard, lacking.power, place, lacking.nogging, lacking.depth, lacking.flue],
      ],
      true,
    ),
    step('box.trim', [before('saw')]),
    step('box.wiring', [before('saw')]),
    step('box.push-in', [before('saw'), before('wiring')], true),
    step('box.test', [before('wiring')]),
  ];
}

/** Ticked, or shown by what was entered: faces that were taped, a bay that was looked into. */
function doneOf(known: BoxKnown): (id: BoxStepId) => boolean {
  const { job, taped, looked } = known;
  const shown: Partial<Record<BoxStepId, boolean>> = {
    'box.first-cut': known.box.cut.first !== undefined,
    'box.faces': taped,
    'box.look': looked.state === 'clear',
  };
  return (id) => isTicked(job, id) || (shown[id] ?? false);
}

function lackingOf(known: BoxKnown, first: FirstCut, done: (id: BoxStepId) => boolean) {
  const sure = sureOf(known);
  const lacks = (need: BoxNeed, isLacking: boolean): BoxNeed | undefined => (isLacking ? need : undefined);
  const step = { 'first-cut': 'box.first-cut', saw: 'box.saw', wiring: 'box.wiring' } as const;
  return {
    before: (need: keyof typeof step) => lacks(need, !done(step[need])),
    // the small cut settles what is doubted; it is not made into wood that is known, nor into what was seen
    studs: lacks('studs', first.chance < KNOWN_WOOD),
    firstHazard: lacks('hazard', inTheWay(known, first.box)?.seen !== undefined),
    hazard: lacks('hazard', inTheWay(known, known.box) !== undefined),
    look: lacks('look', known.looked.state !== 'clear'),
    power: lacks('power', !done('box.power')),
    // what is as sure without the tape needs none; after the tape the place is what is wrong
    place: sure >= HOLE_CAUTION ? undefined : known.taped || sureOfBay(known) ? ('place' as const) : ('faces' as const),
    nogging: lacks('nogging', noggingIn(known) !== undefined),
    depth: lacks('depth', known.behind < 0),
    flue: lacks('flue', flueFindings(known.job, known.box).length > 0),
  };
}

/** The bay is known well enough: what is wrong is where the box is in it. */
const sureOfBay = ({ bay }: BoxKnown): boolean => bay !== undefined && bay.chance >= HOLE_GO;
