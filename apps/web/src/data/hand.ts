import { Followed } from './followed';
import { browserStorage } from './journal';
import { LocalChoice } from './localChoice';

/** The hand that the device is held and tapped with: bar and pad have what it does most on its side. */
export type Hand = 'right' | 'left';

const choice = new LocalChoice(browserStorage());

export const hand = new Followed<Hand>(choice.get('hand') === 'left' ? 'left' : 'right');

export function chooseHand(next: Hand): void {
  choice.set('hand', next);
  hand.set(next);
}
