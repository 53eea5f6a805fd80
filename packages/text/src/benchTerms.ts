import type { Term } from '@steddo/core';

/** Words for the sums of a monitor over its bench. */
export const BENCH_TERMS = {
  'depth-extended': 'pulled out all the way',
  'depth-folded': 'pushed back',
  'edge-moved': 'edge, at any tilt or swing',
  'edge-part': 'its part of the edge',
  'front-part': 'its part of the depth',
  'head-depth': 'head’s axis to the set’s back',
  'head-limit': 'as far as the head goes',
  'head-middle': 'the head’s middle',
  'head-to-corner': 'head to the corner, as it comes by',
  'head-to-edge': 'head to the edge',
  'head-to-front': 'head’s axis to the face',
  'head-to-thing': 'free from the head',
  'head-x': 'head, from the left',
  'head-y': 'head, from the floor',
  'top-above-eyes': 'upper edge above the eyes',
} satisfies Partial<Record<Term, string>>;
