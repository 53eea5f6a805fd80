import type { HazardSeen, HazardZone, Look, Looking, NextLook, Side } from '@steddo/contract';
import type { GuidedLook, LookStep } from '@steddo/core';
import { capital, type Wording } from './wording';
import { wordOf } from './wordOf';

/** Words for what is in a wall, for looking into it, and for what a finder says. */

const SEEN: Record<Look['found'] | HazardSeen['what'], string> = {
  cable: 'a cable',
  pipe: 'a pipe',
  duct: 'a duct',
  gas: 'a gas pipe',
  unsure: 'something that nobody could name',
  live: 'a live wire',
  clear: 'nothing',
};
/** What was seen: `a cable`. */
export const seenName = wordOf(SEEN);

const SERVED: Record<HazardZone['what'], string> = {
  cable: 'cables',
  pipe: 'pipes',
  duct: 'a duct or flue',
  gas: 'a gas pipe',
};
/** What a thing on the wall is served by: `cables`. */
export const servedName = wordOf(SERVED);

const WAYS: Record<HazardZone['way'], string> = {
  up: 'up from',
  down: 'down from',
  left: 'sideways, left of',
  right: 'sideways, right of',
  at: 'right behind',
  behind: 'behind',
};
/** Which way from the thing: `up from`. */
export const wayName = wordOf(WAYS);

const WITH: Record<NextLook['kind'], string> = {
  edge: 'slide the edge finder',
  centre: 'slide the centre finder',
  probe: 'poke with the small drill',
};

/** What to do next and where: `Poke with the small drill at 64 1/2 in, 56 in up.` */
export function nextLookText(look: NextLook, say: Pick<Wording, 'length'>, wall: 'main' | Side = 'main'): string {
  const from = wall === 'main' ? 'from the left' : 'from the corner';
  const where =
    look.from === undefined || look.to === undefined
      ? `at ${say.length(look.x)} ${from}`
      : `from ${say.length(look.from)} to ${say.length(look.to)} ${from}`;
  return `${capital(WITH[look.kind])} ${where}, ${say.length(look.y)} up.`;
}

const REASONS: Record<NextLook['reason'], string> = {
  'find-first': 'The studs under the plate are still to be found: mark both edges of each one that it shows.',
  'is-it-there': 'It tells whether there is a stud at all.',
  sharpen: 'The stud is there; where its middle is could be surer.',
  'tell-edge': 'It tells which side of that edge the wood is.',
  settle: 'No other stud can stand in for this one: better a poke finds it missing than a lag.',
};

/** Why there, how much it helps, and whether it will show. */
export function nextLookWhy(look: NextLook, now: number): string {
  const gain =
    look.gain > 0.001
      ? ` All holes in wood: ${percent(now)} now, about ${percent(Math.min(1, now + look.gain))} after it.`
      : '';
  const shows = look.kind !== 'probe' ? '' : look.hidden ? ' The plate hides the hole.' : ' The hole has to be filled.';
  return `${REASONS[look.reason]}${gain}${shows}`.trim();
}

/** Why it asks no more. */
export function enoughText({ now, enough }: Looking): string {
  switch (enough) {
    case 'sure':
      return `Enough: every hole meets what it is meant for, at least 97 in 100. All together ${percent(now)}.`;
    case 'little-gain':
      return `Enough: no look gains half a point any more. All holes in wood: ${percent(now)}.`;
    case 'no-place':
      return 'The wall has been scanned twice and no studs come under the slots of this mount. Move the set, or choose another mount.';
    default:
      return 'No other look is left. Undo "cannot get there", or go on with care.';
  }
}

const percent = (p: number): string => `${Math.floor(p * 100)} in 100`;

/** A step of a look into the wall, with the measures that the hand needs. */
export function lookStepText(step: LookStep, look: GuidedLook | undefined, say: Pick<Wording, 'length'>): string {
  switch (step) {
    case 'mark':
      return look
        ? `Mark ${say.length(look.x)} from the left, ${say.length(look.y)} up: 3 in beside the line, in the bay ${look.bay} of the stud.${look.inZone ? ' Cables may run just there; the other bay first.' : ''}`
        : '';
    case 'drill':
      return look
        ? `Drill 5/16 in through the board only, gently, with a stop at ${say.length(look.stop)}. The moment it gives, stop.`
        : '';
    case 'widen':
      return 'Work it wider by hand, to about 1/2 in, for the camera’s head.';
    case 'camera':
      return look
        ? `Turn the camera to face the stud, then up, then down: as far as ${say.length(look.reach)} each way.${look.hidden ? ' The set will cover the hole.' : ' Fill the hole afterwards.'}`
        : '';
    case 'found':
      return 'What is there?';
    case 'power-off':
      return 'Switch the circuit off and prove it dead. If that is not your trade, leave the cover on.';
    case 'cover-off':
      return 'Take the cover off, two screws. Touch nothing inside.';
    case 'stud-side':
      return 'On which side is the box fixed to a stud?';
    case 'cables':
      return 'Which way do its cables leave?';
    case 'cover-on':
      return 'Put the cover back before the circuit goes on.';
  }
}

/** What to do when something is felt in the wall. */
export const FELT_TEXT: readonly string[] = [
  'Stop the drill. Do not pull on what you felt.',
  'Water: shut it off at the main. Gas: open the windows, no switches, leave and call. Sparks or a tripped breaker: leave it off.',
  'Find out before you go on: look into both bays there. Anything electrical, gas or water is for a licensed trade.',
  'Everything you have entered is kept. The plan says stop until somebody has looked.',
];
