import type { Hole, Verdict } from '@steddo/contract';

/** Chance that a hole is in wood, from which it is go, and from which it is a caution. Ours. */
export const HOLE_GO = 0.97;
export const HOLE_CAUTION = 0.9;

/** What a chance of wood means for a hole: 0.97 and more go, from 0.90 caution, below stop. */
export function holeVerdict(probability: number): Verdict {
  if (probability >= HOLE_GO) return 'go';
  return probability >= HOLE_CAUTION ? 'caution' : 'stop';
}

type HoleKnown = Pick<Hole, 'probability' | 'hazard' | 'into' | 'unmarked'>;

/**
 * What may be done at a hole: the wood's word, and that of what is behind it. Something seen there is a
 * stop; while nobody has looked into both bays it is at most a caution.
 */
export function holeState({ probability, hazard, into, unmarked }: HoleKnown): Verdict {
  if (hazard === 'seen') return 'stop';
  const certain = holeVerdict(probability);
  // a test hole shows a stud behind the board, or a joint under the paint, before harm is done
  const test = into === 'board' || (into === 'masonry' && unmarked !== undefined);
  const wood = certain === 'stop' && probability > 0 && test ? 'caution' : certain;
  return wood === 'go' && hazard !== 'clear' ? 'caution' : wood;
}

/** The same of a hole of a timber: one that is there is done with, one whose joints nobody has marked is looked into first. */
export const boltState = ({
  done,
  probability,
  unmarked,
  hazard,
}: {
  done: boolean;
  probability: number;
  unmarked?: readonly string[] | undefined;
  hazard?: Hole['hazard'] | undefined;
}): Verdict => {
  if (done) return 'go';
  if (hazard === 'seen') return 'stop';
  const looked = hazard === undefined || hazard === 'clear';
  return unmarked || (!looked && holeVerdict(probability) === 'go') ? 'caution' : holeVerdict(probability);
};
