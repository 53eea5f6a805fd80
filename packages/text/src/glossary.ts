/** The words that are not everyday ones, each in a sentence that somebody understands who hears it for the first time. */
export const GLOSSARY = {
  verdicts: {
    word: 'go, mind, stop',
    sentence:
      'Go: nothing stands against it. Mind: go on, once you have read what there is to mind. Stop: not like this; what would help stands beside it.',
  },
  set: {
    word: 'set',
    sentence: 'The screen with its case, measured from edge to edge; the diagonal on the label is only the picture.',
  },
  pattern: {
    word: 'pattern',
    sentence: 'The four threaded holes in the back of the set: how far apart they are, across and up, in millimetres.',
  },
  plate: {
    word: 'plate',
    sentence: 'The part of the mount that is screwed to the wall, with slots that leave some play to the sides.',
  },
  hook: {
    word: 'hook',
    sentence: 'The line on the plate that the arms of the set are hung on: its height decides how high the set hangs.',
  },
  school: {
    word: 'school',
    sentence:
      'A way of choosing the height that installers swear by; they differ, so each one’s answer stands beside the others.',
  },
  guess: {
    word: 'guess',
    sentence: 'A number that nobody has measured yet: it is used, it shows, and it is better measured.',
  },
  fold: {
    word: 'fold',
    sentence: 'The side to which an arm closes: the set then hangs a little to the other side of the plate.',
  },
  bay: { word: 'bay', sentence: 'The hollow between two studs; a board over a bay holds nothing but light things.' },
  nogging: { word: 'nogging', sentence: 'A short piece of wood across a bay, between two studs.' },
  ply: {
    word: 'ply',
    sentence: 'One of two studs that stand side by side: drill into the middle of one, never into the seam.',
  },
  joint: {
    word: 'joint',
    sentence:
      'The mortar between bricks or blocks: beds run level, uprights stand between two of a row; no plug holds in one.',
  },
  lag: {
    word: 'lag screw',
    sentence: 'A thick screw with a hexagonal head that is turned into wood with a socket, after a pilot hole.',
  },
  pilot: {
    word: 'pilot hole',
    sentence: 'The thinner hole that is drilled first, so that the screw bites and the wood does not split.',
  },
  flag: { word: 'flag', sentence: 'A piece of tape round the bit: when it reaches the wall the hole is deep enough.' },
  duration: {
    word: 'share of what it may',
    sentence: 'The load on a fastener against what it may carry: at 100 % nothing is left to spare.',
  },
  mode: {
    word: 'mode III-s, IV …',
    sentence:
      'How a screw would give way when it is pulled sideways: by crushing the wood, or by bending in it. The weakest way counts.',
  },
} as const satisfies Record<string, { word: string; sentence: string }>;

export type GlossaryTerm = keyof typeof GLOSSARY;

/** How a word is said within a sentence; what is an everyday word there, or has another sense, is not explained in it. */
const SAID: Partial<Record<GlossaryTerm, string>> = {
  pattern: 'patterns?',
  plate: 'plates?',
  hook: 'hooks?',
  school: 'schools?',
  bay: 'bays?',
  nogging: 'noggings?',
  ply: 'ply|plies',
  joint: 'joints?',
  lag: 'lag screws?|lags?',
  pilot: 'pilot holes?',
  flag: 'flags?',
};
const TERM_SAID = Object.entries(SAID) as [GlossaryTerm, string][];
const ANY_SAID = new RegExp(`\\b(?:${TERM_SAID.map(([term, said]) => `(?<${term}>${said})`).join('|')})\\b`, 'gi');

/** A piece of a sentence; with `term` where it is a word that can be looked up. */
export interface SaidPart {
  text: string;
  term?: GlossaryTerm;
}

/** A sentence in its pieces, each word of the glossary apart the first time that it is said. */
export function wordsIn(sentence: string): SaidPart[] {
  const parts: SaidPart[] = [];
  const known = new Set<GlossaryTerm>();
  let from = 0;
  for (const found of sentence.matchAll(ANY_SAID)) {
    const term = TERM_SAID.find(([name]) => found.groups?.[name] !== undefined)![0];
    if (known.has(term)) continue;
    known.add(term);
    if (found.index > from) parts.push({ text: sentence.slice(from, found.index) });
    parts.push({ text: found[0], term });
    from = found.index + found[0].length;
  }
  if (from < sentence.length) parts.push({ text: sentence.slice(from) });
  return parts;
}

const BY_WORD = new Map(Object.values(GLOSSARY).map((entry) => [entry.word.split(',')[0]!, entry.sentence]));

/** The sentence for a label that is one of the words: "hook" has one, "centre" needs none. */
export const sentenceFor = (label: string): string | undefined => BY_WORD.get(label);
