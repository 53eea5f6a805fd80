import { parseArgs } from 'node:util';
import { checkPlan, plan, unproved } from '@steddo/core';
import { proofJob } from '../packages/samples/test/proofJobs';

/**
 * Plans many random jobs and proves each: counts the verdicts, and lists what is open without a finding that explains it
 * and what stops without a way on, by seed. Ends with 1 where there is either.
 */
const { values } = parseArgs({
  options: { from: { type: 'string', default: '1' }, count: { type: 'string', default: '2000' } },
});
const [from, count] = [Number(values.from), Number(values.count)];

type Seeds = Map<string, Set<number>>;
const note = (to: Seeds, what: string, seed: number): void => {
  to.set(what, (to.get(what) ?? new Set()).add(seed));
};
const verdicts: Seeds = new Map();
const open: Seeds = new Map();
const stuck: Seeds = new Map();
const notHere: Seeds = new Map();
let checking = 0;

for (let seed = from; seed < from + count; seed += 1) {
  const job = proofJob(seed);
  if (!job) {
    note(verdicts, 'refused by the format', seed);
    continue;
  }
  const made = plan(job, { ways: 'tried' });
  note(verdicts, made.verdict, seed);
  const start = performance.now();
  const checked = checkPlan(job, made);
  checking += performance.now() - start;
  for (const o of unproved(checked, made)) note(open, `${made.verdict} ${o.id}`, seed);
  for (const f of made.findings) {
    if (f.level !== 'stop' || f.acknowledged) continue;
    const own = (made.remedies ?? []).filter((r) => r.code === f.code);
    if (own.length === 0) note(stuck, f.code, seed);
    if (own.length > 0 && own.every((r) => r.kind === 'not-here')) note(notHere, f.code, seed);
  }
}

function show(title: string, seeds: Seeds): void {
  console.log(title);
  for (const [what, of] of [...seeds].sort((a, b) => b[1].size - a[1].size))
    console.log(`  ${what.padEnd(34)} ${String(of.size).padStart(6)}   ${[...of].slice(0, 6).join(' ')}`);
}
console.log(`${count} jobs from seed ${from}; a check takes ${(checking / count).toFixed(2)} ms`);
show('verdicts', verdicts);
show('open, and nothing explains it', open);
show('stops without a way on', stuck);
show('stops whose only way is another trade', notHere);
process.exit(open.size + stuck.size === 0 ? 0 : 1);
