import { checkFile, job as jobFormat, type Job } from '@steddo/contract';
import fc from 'fast-check';

/** Any valid job: a sample with fields left out and numbers changed at random. */

type Tree = Record<string, unknown> | unknown[];
export const isTree = (v: unknown): v is Tree => typeof v === 'object' && v !== null;

/** Every path of a document, leaves and branches. */
function paths(value: unknown, at: string[] = []): string[][] {
  if (!isTree(value)) return [at];
  const inner = Object.entries(value).flatMap(([k, v]) => paths(v, [...at, k]));
  return at.length === 0 ? inner : [at, ...inner];
}

function change(job: Job, path: string[], how: (parent: Record<string, unknown>, key: string) => void): void {
  let parent: unknown = job;
  for (const key of path.slice(0, -1)) parent = isTree(parent) ? (parent as Record<string, unknown>)[key] : undefined;
  if (!isTree(parent)) return;
  how(parent as Record<string, unknown>, path.at(-1)!);
}

const WORDS = [
  'vote',
  'above',
  'masonry',
  'unknown',
  'wet',
  'left',
  'lying',
  'outlet',
  'hollow',
  'lath',
  'row:0',
  'plate-top',
  'top',
];

export interface RandomEdit {
  pick: number;
  what: string;
  by: number;
  word: string;
}

export const edits: fc.Arbitrary<RandomEdit[]> = fc.array(
  fc.record({
    pick: fc.nat(100_000),
    what: fc.constantFrom('drop', 'scale', 'zero', 'negate', 'word'),
    by: fc.double({ min: 0.2, max: 4, noNaN: true }),
    word: fc.constantFrom(...WORDS),
  }),
  { minLength: 1, maxLength: 7 },
);

/** The sample with the edits done, or undefined when the contract refuses it. */
export function edited(base: Job, list: readonly RandomEdit[]): Job | undefined {
  const job = structuredClone(base);
  for (const { pick, what, by, word } of list) {
    const all = paths(job);
    const path = all[pick % all.length]!;
    change(job, path, (parent, key) => {
      const value = parent[key];
      if (what === 'drop') {
        if (Array.isArray(parent)) parent.splice(Number(key), 1);
        else delete parent[key];
      } else if (typeof value === 'number') parent[key] = what === 'zero' ? 0 : what === 'negate' ? -value : value * by;
      else if (typeof value === 'string' && what === 'word') parent[key] = word;
    });
  }
  return checkFile(jobFormat, job).ok ? job : undefined;
}

/** So many valid jobs made from the given ones, the same ones for the same seed. */
export function randomJobs(bases: readonly Job[], count: number, seed: number): Job[] {
  const jobs: Job[] = [];
  // most are refused: enough of them that a seed never runs out
  const lists = fc.sample(edits, { seed, numRuns: count * 10 });
  for (let i = 0; jobs.length < count && i < lists.length; i++) {
    const job = edited(bases[i % bases.length]!, lists[i]!);
    if (job) jobs.push(job);
  }
  return jobs;
}
