import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Job } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { demoCatalogue, demoRooms, smallestRoom, smallestStudWall } from '@steddo/samples';
import { planFile } from '@steddo/text';
import { randomJobs } from '../packages/samples/test/randomJobs';

/**
 * Whether a change of structure has changed any plan: `write FILE` before it, `compare FILE` after it.
 * Plans of every sample and of 300 random jobs; numbers equal to a billionth count as equal. Says each
 * path that differs; exit 1 where some plan does.
 */
const RANDOM = 300;
const SEED = 20261127;
const NEAR = 1e-9;

const full = JSON.parse(
  readFileSync(join(import.meta.dirname, '../packages/samples/jobs/every-field.json'), 'utf8'),
) as Job;
const samples: [string, Job][] = [
  ...demoRooms.map(({ id, job }): [string, Job] => [id, job]),
  ['minimal', smallestRoom],
  ['minimal-imperial', smallestStudWall],
  ['every-field', full],
];
const bases = samples.map(([, job]) => job);
const random = randomJobs(bases, RANDOM, SEED).map((job, i): [string, Job] => [`random-${i}`, job]);

/** As a fresh run would plan it: nothing shared with the job before. */
function planned(job: Job, whole: boolean): unknown {
  const { mounts, ...kit } = structuredClone(demoCatalogue);
  const own = withKit(structuredClone(job), kit);
  const made = plan(own, { mounts: whole ? mounts : mounts.slice(0, 6), nextLook: whole });
  return JSON.parse(JSON.stringify(planFile(made, own)));
}

function differences(a: unknown, b: unknown, path = ''): string[] {
  if (a === b) return [];
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= NEAR * Math.max(1, Math.abs(a), Math.abs(b)) ? [] : [`${path}: ${a} -> ${b}`];
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return [`${path}: ${JSON.stringify(a)?.slice(0, 60)} -> ${JSON.stringify(b)?.slice(0, 60)}`];
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  return keys.flatMap((k) =>
    differences((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k], path ? `${path}.${k}` : k),
  );
}

const [what, file] = process.argv.slice(2);
const plans = Object.fromEntries(
  [...samples, ...random].map(([name, job]) => [name, planned(job, !name.startsWith('random'))]),
);
if (what === 'write') writeFileSync(file!, JSON.stringify(plans));
else {
  const before = JSON.parse(readFileSync(file!, 'utf8')) as Record<string, unknown>;
  const most = 4;
  let changed = 0;
  for (const [name, made] of Object.entries(plans)) {
    const found = differences(before[name], made);
    if (found.length === 0) continue;
    changed += 1;
    console.log(`${name}: ${found.length} differ\n  ${found.slice(0, most).join('\n  ')}`);
  }
  console.log(`${Object.keys(plans).length} plans, ${changed} differ`);
  process.exit(changed === 0 ? 0 : 1);
}
